<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * Someone who learns.
 *
 * @property string $name
 */
final class Student extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @return BelongsToMany<Group, $this> */
    public function groups(): BelongsToMany
    {
        return $this->belongsToMany(Group::class, 'group_members');
    }
}
