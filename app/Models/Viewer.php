<?php

declare(strict_types=1);

namespace App\Models;

use App\Policies\Ability;

/** Whoever is at the door: enters one school, may do some things there, and is the author of the facts made. */
interface Viewer
{
    /** Of the school whose rows they see. */
    public function schoolId(): string;

    public function may(Ability $ability): bool;

    /** The user who answers for what is written. */
    public function authorId(): string;
}
