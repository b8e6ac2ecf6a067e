<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * Someone who learns; a guest is one who is in no group.
 *
 * @property string $name
 * @property int $record_epoch  grows when a checkpoint of the record no longer holds
 */
final class Student extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return BelongsToMany<Group, $this> those they are in now */
    public function groups(): BelongsToMany
    {
        return $this->belongsToMany(Group::class, 'group_members')->wherePivotNull('left_on');
    }
}
