<?php

declare(strict_types=1);

namespace App\Models;

use App\Policies\Ability;

/** Whoever is at the door: enters one school, may do some things there, and is the author of the facts made. */
interface Viewer
{
    public function homeSchool(): School;

    public function may(Ability $ability): bool;

    /** The user who answers for what is written. */
    public function authorId(): string;
}
