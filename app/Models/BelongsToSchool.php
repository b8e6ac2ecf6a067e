<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;

/**
 * A row of the school that has been entered: found, counted and written only inside it.
 *
 * @property string $id
 * @property string $school_id
 */
trait BelongsToSchool
{
    use HasUuids;

    public static function bootBelongsToSchool(): void
    {
        static::addGlobalScope('school', static function (Builder $query): void {
            $query->where($query->getModel()->qualifyColumn('school_id'), app(CurrentSchool::class)->id());
        });
        static::creating(static function (self $row): void {
            $row->school_id = app(CurrentSchool::class)->id();
        });
    }

    /** Instants keep their offset and their microseconds on the way to PostgreSQL. */
    public function getDateFormat(): string
    {
        return 'Y-m-d H:i:s.uP';
    }
}
