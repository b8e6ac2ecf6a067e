<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Role;
use App\Models\SchoolLocale;
use App\Models\User;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Makes a school and its owner. */
final class FoundSchool
{
    public function __construct(private readonly CurrentSchool $current)
    {
    }

    /** The first school of an installation; of two who found at once the second is told so. */
    public function first(string $name, string $timezone, string $person, string $email, string $password, SchoolLocale $locale = SchoolLocale::Britain): User
    {
        return DB::transaction(function () use ($name, $timezone, $person, $email, $password, $locale): User {
            DB::select("select pg_advisory_xact_lock(hashtextextended('founding', 0))");
            if (! self::isOpen()) {
                throw Refused::conflict(Message::of('session.founded'));
            }

            return $this($name, $timezone, $person, $email, $password, locale: $locale);
        });
    }

    /** Whether there is nothing here yet, and whoever comes may begin. */
    public static function isOpen(): bool
    {
        return config('gorvan.founding') === true && DB::scalar('select gorvan_has_school(false)') === false;
    }

    public function __invoke(string $name, string $timezone, string $person, string $email, string $password, bool $isDemo = false, SchoolLocale $locale = SchoolLocale::Britain): User
    {
        return DB::transaction(function () use ($name, $timezone, $person, $email, $password, $isDemo, $locale): User {
            $school = $this->current->make(['name' => $name, 'timezone' => $timezone, 'is_demo' => $isDemo, 'locale' => $locale]);

            return $this->current->during($school, static fn (): User => $school->users()->create([
                'name' => $person,
                'email' => mb_strtolower($email),
                'password' => $password,
                'role' => Role::Owner,
            ]));
        });
    }
}
