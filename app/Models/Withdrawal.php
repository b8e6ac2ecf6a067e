<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Record\WithdrawnKind;
use Illuminate\Database\Eloquent\Model;

/**
 * Takes a mark, a log, or another withdrawal out of the record.
 *
 * @property string $of
 * @property WithdrawnKind $kind  of what is withdrawn
 * @property \Illuminate\Support\Carbon $at
 * @property string $made_by
 * @property int|null $clock_ahead
 */
final class Withdrawal extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'datetime', 'kind' => WithdrawnKind::class];
    }
}
