<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Whether a student was there.
 *
 * @property string $meeting_id
 * @property string $student_id
 * @property bool $is_present
 * @property string $made_by
 */
final class Attendance extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_present' => 'boolean'];
    }
}
