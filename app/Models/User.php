<?php

declare(strict_types=1);

namespace App\Models;

use App\Policies\Abilities;
use App\Policies\Ability;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;

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

    /** @return BelongsTo<School, $this> */
    public function school(): BelongsTo
    {
        return $this->belongsTo(School::class);
    }

    public function homeSchool(): School
    {
        return $this->school;
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
