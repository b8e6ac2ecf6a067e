<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Takes a mark, a log, or another withdrawal out of the record.
 *
 * @property string $of
 * @property \Illuminate\Support\Carbon $at
 * @property string $made_by
 */
final class Withdrawal extends Model
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
