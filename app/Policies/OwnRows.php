<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Role;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;

/** Owners and instructors read and write what belongs to their own school, and nothing else. */
abstract class OwnRows
{
    public function viewAny(User $user): bool
    {
        return $this->teaches($user);
    }

    public function create(User $user): bool
    {
        return $this->teaches($user);
    }

    public function view(User $user, Model $row): bool
    {
        return $this->teaches($user) && $row->getAttribute('school_id') === $user->school_id;
    }

    public function update(User $user, Model $row): bool
    {
        return $this->view($user, $row);
    }

    private function teaches(User $user): bool
    {
        return in_array($user->role, [Role::Owner, Role::Instructor], true);
    }
}
