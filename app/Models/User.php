<?php

declare(strict_types=1);

namespace App\Models;

use App\Policies\Abilities;
use App\Policies\Ability;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Foundation\Auth\User as Authenticatable;
use LogicException;

/**
 * Someone who signs in.
 *
 * @property string $id
 * @property string $school_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property Role $role
 * @property School $school
 */
final class User extends Authenticatable implements Viewer
{
    use HasUuids;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class];
    }

    /** Read inside the school itself: nobody else sees its row. */
    public function homeSchool(): School
    {
        $current = app(CurrentSchool::class);

        return $current->entered($this->school_id) ?? $current->find($this->school_id) ?? throw new LogicException('somebody of no school');
    }

    public function schoolId(): string
    {
        return $this->school_id;
    }

    public function getSchoolAttribute(): School
    {
        return $this->homeSchool();
    }

    public function may(Ability $ability): bool
    {
        return in_array($ability, Abilities::of($this->role), true);
    }

    public function authorId(): string
    {
        return $this->id;
    }
}
