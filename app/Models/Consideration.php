<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Care\Consideration as CoreConsideration;
use Gorvan\Core\Care\StudentConsideration;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Crypt;

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

    /** A note as it is kept. */
    public static function closed(StudentConsideration $noted): string
    {
        return Crypt::encryptString(json_encode($noted->toData(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
    }

    /** Whether the key of this installation opens it; a backup that was put back under another key has rows that it does not. */
    public function isReadable(): bool
    {
        return $this->opened() !== null;
    }

    /** What was noted; of what cannot be read nothing is known, so the student is asked. */
    public function noted(): StudentConsideration
    {
        $text = $this->opened();

        return $text === null ? new StudentConsideration(CoreConsideration::Other) : StudentConsideration::read(JsonNode::parse($text));
    }

    private function opened(): ?string
    {
        try {
            return Crypt::decryptString($this->document);
        } catch (DecryptException) {
            return null; // said where it is shown, and the student is asked
        }
    }
}
