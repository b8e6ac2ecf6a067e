<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a student asked from home, and what was answered.
 *
 * @property string $student_id
 * @property string $text
 * @property \Illuminate\Support\Carbon $at
 * @property string|null $answer
 * @property \Illuminate\Support\Carbon|null $answered_at
 */
final class StudentQuestion extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $table = 'student_questions';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'datetime', 'received_at' => 'datetime', 'answered_at' => 'datetime'];
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class, 'student_id');
    }
}
