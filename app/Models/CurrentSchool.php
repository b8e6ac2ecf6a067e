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
 *
 * It is told for one transaction and ends with it: a connection that was lost, kept or handed to somebody else is in no
 * school, and a query on a school's table in no school is an error of the database, not an empty answer.
 */
final class CurrentSchool
{
    private ?School $school = null;

    /** What PostgreSQL was told. */
    private ?string $told = null;

    /** From here to the end of the transaction that is open. */
    public function enter(School $school): void
    {
        $this->tell($school->id);
        $this->school = $school;
    }

    public function leave(): void
    {
        $this->school = null;
        $this->tell(null);
    }

    /** A school by its id, without entering it; its own row is the only one seen on the way. */
    public function find(string $id): ?School
    {
        return Str::isUuid($id) ? $this->inTransaction($id, static fn (): ?School => School::find($id)) : null;
    }

    /**
     * Makes a school, and is in no other while it does.
     *
     * @param  array<string, mixed>  $as
     */
    public function make(array $as): School
    {
        $id = (string) Str::uuid7();

        return $this->inTransaction($id, static fn (): School => School::create(['id' => $id, ...$as]));
    }

    /**
     * Does something inside a school, in a transaction of its own, and returns to where it was before. What fails leaves
     * nothing behind.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @param  (callable(T): bool)|null  $isKept  whether what was done stays; always unless said
     * @return T
     */
    public function during(School $school, callable $work, ?callable $isKept = null): mixed
    {
        return $this->inTransaction($school->id, fn () => $this->as($school, $work), $isKept);
    }

    /**
     * The same, of a school by its id, which is read in the same transaction.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @param  (callable(T): bool)|null  $isKept
     * @return T
     *
     * @throws UnknownSchool
     */
    public function duringId(string $id, callable $work, ?callable $isKept = null): mixed
    {
        return $this->inTransaction($id, fn () => $this->as(School::find($id) ?? throw new UnknownSchool, $work), $isKept);
    }

    /** The school of this id, if it is the one that was entered. */
    public function entered(string $id): ?School
    {
        return $this->school?->id === $id ? $this->school : null;
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

    /**
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    private function as(School $school, callable $work): mixed
    {
        $before = $this->school;
        $this->school = $school;
        try {
            return $work();
        } finally {
            $this->school = $before;
        }
    }

    /**
     * @template T
     *
     * @param  callable(): T  $work
     * @param  (callable(T): bool)|null  $isKept
     * @return T
     */
    private function inTransaction(string $school, callable $work, ?callable $isKept = null): mixed
    {
        $outer = $this->told;
        DB::beginTransaction();
        $level = DB::transactionLevel();
        try {
            $this->tell($school);
            $done = $work();
            if ($isKept === null || $isKept($done)) {
                if (DB::transactionLevel() !== $level) {
                    throw new ConnectionLost;
                }
                // Inside another transaction it would stay told; a rollback takes it back by itself. At the end the query says
                // whether PostgreSQL still takes what was written: it answers a commit of what has failed without a word.
                $this->tell($level > 1 ? $outer : null);
                DB::commit();

                return $done;
            }
        } catch (Throwable $e) {
            $this->undo($level, $outer);
            throw $e;
        }
        $this->undo($level, $outer);

        return $done;
    }

    /** Of a connection that is gone nothing is left to undo; the next query makes another. */
    private function undo(int $level, ?string $told): void
    {
        $this->told = $told;
        if (DB::transactionLevel() < $level) {
            DB::disconnect(); // an inner one found it lost

            return;
        }
        try {
            DB::rollBack($level - 1);
        } catch (Throwable) {
            DB::disconnect();
        }
    }

    private function tell(?string $school): void
    {
        if (DB::transactionLevel() === 0) {
            throw new LogicException('A school is entered inside a transaction.');
        }
        $this->told = $school;
        DB::statement("select set_config('gorvan.school', ?, true)", [$school ?? '']);
    }
}
