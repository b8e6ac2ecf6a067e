<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Care\Consideration as CoreConsideration;
use Gorvan\Core\Care\StudentConsideration;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Database\Eloquent\Model;

/**
 * Something of a student's body that a teacher plans around. All of it is encrypted, so that a dump or a backup of the
 * database says nothing; whoever has the server has the key too.
 *
 * @property string $student_id
 * @property string $document
 */
final class Consideration extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    protected $hidden = ['document'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'encrypted'];
    }

    /** Whether the key of this installation opens it; a backup that was put back under another key has rows that it does not. */
    public function isReadable(): bool
    {
        try {
            return $this->document !== '';
        } catch (DecryptException) {
            return false; // said where it is shown, and the student is asked
        }
    }

    /** What was noted; of what cannot be read nothing is known, so the student is asked. */
    public function noted(): StudentConsideration
    {
        return $this->isReadable() ? StudentConsideration::read(JsonNode::parse($this->document)) : new StudentConsideration(CoreConsideration::Other);
    }
}
