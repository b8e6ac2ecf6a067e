<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What the school says to a student at the end of a term, or of a group as a whole.
 *
 * @property string $term_id
 * @property string|null $student_id  null for the page of the group
 * @property string $text
 * @property int $version
 * @property \Illuminate\Support\Carbon|null $sent_at  when this version went by mail
 * @property Student|null $student
 * @property Term $term
 */
final class Letter extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['version' => 'integer', 'sent_at' => 'datetime'];
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class, 'student_id');
    }

    /** @return BelongsTo<Term, $this> */
    public function term(): BelongsTo
    {
        return $this->belongsTo(Term::class, 'term_id');
    }
}
