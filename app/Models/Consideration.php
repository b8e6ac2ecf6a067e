<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Care\StudentConsideration;
use Gorvan\Core\Reading\JsonNode;
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

    public function noted(): StudentConsideration
    {
        return StudentConsideration::read(JsonNode::parse($this->document));
    }
}
