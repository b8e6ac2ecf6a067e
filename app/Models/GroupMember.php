<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A student's place in a group.
 *
 * @property string $group_id
 * @property string $student_id
 * @property string $joined_on
 */
final class GroupMember extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];
}
