<?php

declare(strict_types=1);

namespace App\Models;

use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use LogicException;
use Throwable;

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
        $this->tell($school->id);
    }

    public function leave(): void
    {
        $this->school = null;
        $this->tell(null);
    }

    /** A school by its id, without entering it; its own row is the only one seen on the way. */
    public function find(string $id): ?School
    {
        if (! Str::isUuid($id)) {
            return null;
        }
        $this->tell($id);
        try {
            return School::find($id);
        } finally {
            $this->tell($this->school?->id);
        }
    }

    /**
     * Makes a school, and is in no other while it does.
     *
     * @param  array<string, mixed>  $as
     */
    public function make(array $as): School
    {
        $id = (string) Str::uuid7();
        $this->tell($id);
        try {
            return School::create(['id' => $id, ...$as]);
        } finally {
            $this->tell($this->school?->id);
        }
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
            $done = $work();
        } catch (Throwable $e) {
            $this->school = $before;
            // Inside a transaction that failed PostgreSQL takes no statement; its rollback puts the setting back.
            if (DB::transactionLevel() === 0) {
                $this->tell($before?->id);
            }
            throw $e;
        }
        $this->school = $before;
        $this->tell($before?->id);

        return $done;
    }

    public function id(): string
    {
        return $this->get()->id;
    }

    public function get(): School
    {
        return $this->school ?? throw new LogicException('No school is known here; enter one first.');
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

    private function tell(?string $school): void
    {
        DB::statement("select set_config('gorvan.school', ?, false)", [$school ?? '']);
    }
}
