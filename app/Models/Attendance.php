<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Whether a student was there.
 *
 * @property string $meeting_id
 * @property string $student_id
 * @property bool $is_present
 * @property bool $is_careful  smaller and with support tonight
 * @property bool $is_first_time
 * @property int|null $late  minutes after the start
 * @property int|null $left  minutes after the start
 * @property \Illuminate\Support\Carbon|null $noted_at  on the device
 * @property string $made_by
 */
final class Attendance extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class, 'student_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_present' => 'boolean', 'is_careful' => 'boolean', 'is_first_time' => 'boolean', 'late' => 'integer', 'left' => 'integer', 'noted_at' => 'datetime'];
    }
}
