<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\CurrentSchool;
use App\Models\School;
use RuntimeException;
use Throwable;

/**
 * Work of one school that takes long: what it rests on is read in one short transaction, worked out in none, and written in
 * another. It is begun by one worker at a time, and again within half a minute after one that was ended in the middle.
 */
trait Leased
{
    /** Asked again as often as need be while somebody else works on it; what fails is counted by itself. */
    public int $tries = 0;

    public int $maxExceptions = 2;

    /** Seconds after which it is asked again whether whoever works on it still does. */
    private const AGAIN = 4;

    /**
     * @template R
     * @template A
     *
     * @param  string  $of  what is worked on, inside the school
     * @param  callable(): (R|null)  $read  null where there is nothing to do
     * @param  callable(R, Lease): A  $work  outside any transaction
     * @param  callable(R, A): void  $write
     */
    private function leased(CurrentSchool $current, string $of, callable $read, callable $work, callable $write): void
    {
        $school = $current->find($this->school);
        if ($school === null) {
            return; // it has gone, and what was asked with it
        }
        [$lease, $rests] = $current->during($school, static function () use ($current, $of, $read): array {
            $lease = Lease::take($current, $of);
            $rests = $lease === null ? null : $read();
            if ($rests === null) {
                $lease?->end();
            }

            return [$lease, $rests];
        });
        if ($lease === null) {
            $this->release(self::AGAIN);

            return;
        }
        if ($rests === null) {
            return;
        }
        if ($lease->begun > Lease::MOST_BEGUN) {
            $this->ended($current, $school, $lease);

            return;
        }
        try {
            $answer = $work($rests, $lease);
            $current->during($school, static function () use ($lease, $write, $rests, $answer): void {
                $write($rests, $answer);
                $lease->end();
            });
        } catch (LeaseLost) {
            return; // whoever has it now writes what they work out
        } catch (Throwable $e) {
            $lease->giveUp();
            throw $e;
        }
    }

    private function ended(CurrentSchool $current, School $school, Lease $lease): void
    {
        $current->during($school, $lease->end(...));
        $this->fail(new RuntimeException(self::class.' ended every worker that began it.'));
    }
}
