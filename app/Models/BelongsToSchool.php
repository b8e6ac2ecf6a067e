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

    /**
     * A row is known by its school and its id, as its key is, also where it is read or written again without a scope.
     *
     * @param  Builder<static>  $query
     * @return Builder<static>
     */
    protected function setKeysForSelectQuery($query): Builder
    {
        return parent::setKeysForSelectQuery($query)->where('school_id', $this->school_id);
    }

    /**
     * @param  Builder<static>  $query
     * @return Builder<static>
     */
    protected function setKeysForSaveQuery($query): Builder
    {
        return parent::setKeysForSaveQuery($query)->where('school_id', $this->school_id);
    }

    /** Instants keep their offset and their microseconds on the way to PostgreSQL. */
    public function getDateFormat(): string
    {
        return 'Y-m-d H:i:s.uP';
    }
}
