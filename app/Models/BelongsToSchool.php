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
     * What the traits do first and with each row, as the framework finds it, but by their names alone: it looks through all
     * three hundred methods of a class for attributes that none here has, 0.3 ms for every class of every request.
     */
    protected static function bootTraits(): void
    {
        static::$traitInitializers[static::class] = [];
        foreach (class_uses_recursive(static::class) as $trait) {
            $name = class_basename($trait);
            if (method_exists(static::class, "boot$name")) {
                static::{"boot$name"}();
            }
            if (method_exists(static::class, "initialize$name")) {
                static::$traitInitializers[static::class][] = "initialize$name";
            }
        }
    }

    /** Its key is made here. The framework would work this out for every value that is read of a row. */
    public function getIncrementing(): bool
    {
        return false;
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
