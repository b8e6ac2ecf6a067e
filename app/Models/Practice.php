<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Unmarked contact with an entry, taught or practised, from one log of a class.
 *
 * @property string $log_id
 * @property string $student_id
 * @property string $entry_id
 * @property string|null $meeting_id
 * @property string $kind
 * @property \Illuminate\Support\Carbon $at
 * @property string $made_by
 */
final class Practice extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'datetime'];
    }
}
