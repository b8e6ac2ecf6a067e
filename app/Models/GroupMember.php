<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A student's time in a group; who comes back has another.
 *
 * @property string $group_id
 * @property string $student_id
 * @property string $joined_on
 * @property string|null $left_on  null while they are in it
 */
final class GroupMember extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];
}
