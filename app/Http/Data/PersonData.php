<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Role;
use App\Policies\Ability;

/** Who is signed in. */
final readonly class PersonData
{
    /** @param  list<Ability>  $may  what they may do, by the names of the abilities */
    public function __construct(
        public string $id,
        public string $name,
        public string $email,
        public Role $role,
        public array $may,
    ) {
    }
}
