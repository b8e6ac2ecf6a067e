<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Role;
use App\Models\School;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Makes a school and its owner. */
final class FoundSchool
{
    public function __invoke(string $name, string $timezone, string $person, string $email, string $password, bool $isDemo = false): User
    {
        return DB::transaction(static function () use ($name, $timezone, $person, $email, $password, $isDemo): User {
            $school = School::create(['name' => $name, 'timezone' => $timezone, 'is_demo' => $isDemo]);

            return $school->users()->create([
                'name' => $person,
                'email' => mb_strtolower($email),
                'password' => $password,
                'role' => Role::Owner,
            ]);
        });
    }
}
