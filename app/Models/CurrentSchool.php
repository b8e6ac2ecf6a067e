<?php

declare(strict_types=1);

namespace App\Models;

use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Facades\DB;
use LogicException;

/**
 * The school whose rows may be seen and written now. It is told to PostgreSQL too, whose row policies show a
 * connection no other school's rows, whatever a query forgets.
 */
final class CurrentSchool
{
    private ?School $school = null;

    public function enter(School $school): void
    {
        $this->school = $school;
        DB::statement("select set_config('gorvan.school', ?, false)", [$school->id]);
    }

    public function leave(): void
    {
        $this->school = null;
        DB::statement("select set_config('gorvan.school', '', false)");
    }

    /**
     * Does something inside a school and returns to where it was before.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    public function during(School $school, callable $work): mixed
    {
        $before = $this->school;
        $this->enter($school);
        try {
            return $work();
        } finally {
            $before === null ? $this->leave() : $this->enter($before);
        }
    }

    public function id(): string
    {
        return $this->get()->id;
    }

    public function get(): School
    {
        return $this->school ?? throw new LogicException('No school is known here; enter one first.');
    }

    public function isKnown(): bool
    {
        return $this->school !== null;
    }

    public function zone(): DateTimeZone
    {
        return new DateTimeZone($this->get()->timezone);
    }

    /** Today's date `Y-m-d` where the school is. */
    public function today(): string
    {
        return DateTimeImmutable::createFromInterface(now())->setTimezone($this->zone())->format('Y-m-d');
    }
}
