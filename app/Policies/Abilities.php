<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Role;
use App\Models\Viewer;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Gate;

/** The one table of who may do what. Every route names an ability; a row is only ever one of the viewer's own school. */
final class Abilities
{
    /** @return list<Ability> */
    public static function of(Role $role): array
    {
        return match ($role) {
            Role::Owner => Ability::cases(),
            Role::Instructor => [Ability::Read, Ability::Mark, Ability::Plan, Ability::EditForms, Ability::SeeConsiderations],
            Role::Assistant => [Ability::Read, Ability::Mark],
        };
    }

    public static function register(): void
    {
        foreach (Ability::cases() as $ability) {
            Gate::define($ability->value, static fn (Viewer $viewer, Model|string|null $row = null): bool => $viewer->may($ability)
                && (! $row instanceof Model || $row->getAttribute('school_id') === $viewer->schoolId()));
        }
    }
}
