<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Record\Support;

/**
 * Where one student stands in a form on a day (engine 10). Only movements are counted: connectors, openings, closings
 * and extras neither break a run nor extend it.
 */
final readonly class StudentStanding
{
    /**
     * @param  array<int, EntryStanding>  $entries  by position, every entry of the form
     * @param  list<int>  $movements  their positions
     * @param  array<int, true>  $passing  by position, the movements that pass
     */
    private function __construct(
        private Form $form,
        private array $entries,
        private array $movements,
        private array $passing,
        private int $furthestPassing,
    ) {
    }

    /** @param  array<string, Tracks>  $tracks  by entry id; those without any record may be left out */
    public static function of(Form $form, array $tracks, int $day, MemoryModel $model): self
    {
        $entries = $movements = $passing = [];
        $furthest = 0;
        foreach ($form->entries as $at => $entry) {
            $position = $at + 1;
            $entries[$position] = EntryStanding::of($position, $tracks[$entry->id] ?? null, $entry->isDoneOnBothSides(), $day, $model);
            if ($entry->kind !== EntryKind::Movement) {
                continue;
            }
            $movements[] = $position;
            if ($entries[$position]->whole->passes()) {
                $passing[$position] = true;
                $furthest = $position;
            }
        }

        return new self($form, $entries, $movements, $passing, $furthest);
    }

    public function at(int $position): EntryStanding
    {
        return $this->entries[$position];
    }

    /** @return list<EntryStanding> those of which anything was noted, in order */
    public function noted(): array
    {
        return array_values(array_filter($this->entries, static fn (EntryStanding $entry): bool => $entry->isNoted()));
    }

    /**
     * The position of the last movement of the longest passing run from the start, forgiving one gap of one movement;
     * null when there is no such run.
     */
    public function frontier(): ?int
    {
        $frontier = null;
        $forgiven = false;
        foreach ($this->movements as $at => $position) {
            if ($this->passes($position)) {
                $frontier = $position;

                continue;
            }
            $next = $this->movements[$at + 1] ?? null;
            if ($forgiven || $next === null || ! $this->passes($next)) {
                break;
            }
            $forgiven = true;
        }

        return $frontier;
    }

    /** @return list<int> positions that hold: remembered, and last seen alone or better */
    public function holding(): array
    {
        $holding = [];
        foreach ($this->movements as $position) {
            if ($this->entries[$position]->whole->holds()) {
                $holding[] = $position;
            }
        }

        return $holding;
    }

    /** @return list<int> positions of movements that were seen alone or better, and do not hold any more */
    public function slipping(): array
    {
        return array_values(array_filter($this->movements, fn (int $position): bool => ! $this->at($position)->whole->holds() && $this->at($position)->whole->support?->isAtLeast(Support::Alone) === true));
    }

    /**
     * Taught to the group, not passing, before the student's furthest passing movement.
     *
     * @param  list<int>  $taught
     * @return list<int>
     */
    public function holes(array $taught): array
    {
        return $this->lacking($taught, fn (int $position): bool => $position < $this->furthestPassing);
    }

    /**
     * Taught to the group, not passing, after the student's furthest passing movement.
     *
     * @param  list<int>  $taught
     * @return list<int>
     */
    public function behind(array $taught): array
    {
        return $this->lacking($taught, fn (int $position): bool => $position > $this->furthestPassing);
    }

    /**
     * Taught to the group, and not to the student (away, or not a member yet), nor made up for since.
     *
     * @param  list<int>  $taught
     * @return list<int>
     */
    public function missed(array $taught): array
    {
        return $this->among($taught, fn (int $position): bool => $this->at($position)->whole->isMissed);
    }

    /** Whether the student can go on from a recap; null where there is none. */
    public function readiness(?Passage $recap): ?Readiness
    {
        return $recap === null ? null : self::together($this->notReadyIn($recap));
    }

    /**
     * The same without looking at anything else of the form.
     *
     * @param  array<string, Tracks>  $tracks  by entry id, at least those of the recap
     */
    public static function readinessIn(Form $form, array $tracks, ?Passage $recap, int $day, MemoryModel $model): ?Readiness
    {
        return $recap === null ? null : self::together(self::notReady($form, $recap, static fn (int $position): EntryStanding => EntryStanding::of($position, $tracks[$form->at($position)->id] ?? null, $form->at($position)->isDoneOnBothSides(), $day, $model)));
    }

    /** @return list<NotReadyEntry> the entries of the recap that keep the student from being ready, in order */
    public function notReadyIn(?Passage $recap): array
    {
        return $recap === null ? [] : self::notReady($this->form, $recap, $this->at(...));
    }

    /**
     * @param  callable(int): EntryStanding  $at  by position
     * @return list<NotReadyEntry>
     */
    private static function notReady(Form $form, Passage $recap, callable $at): array
    {
        $lacking = [];
        foreach ($recap->positions() as $position) {
            $standing = $form->at($position)->kind->countsInForm() ? $at($position) : null;
            $reason = $standing?->whole->notReady();
            if ($standing !== null && $reason !== null) {
                $lacking[] = new NotReadyEntry($standing, $reason);
            }
        }

        return $lacking;
    }

    /** @param  list<NotReadyEntry>  $lacking */
    private static function together(array $lacking): Readiness
    {
        $readiness = Readiness::Ready;
        foreach ($lacking as $one) {
            $readiness = $readiness->and($one->reason->readiness());
        }

        return $readiness;
    }

    private function passes(int $position): bool
    {
        return isset($this->passing[$position]);
    }

    /**
     * @param  list<int>  $taught
     * @param  callable(int): bool  $where
     * @return list<int>
     */
    private function lacking(array $taught, callable $where): array
    {
        return $this->among($taught, fn (int $position): bool => ! isset($this->passing[$position]) && $where($position));
    }

    /**
     * @param  list<int>  $taught
     * @param  callable(int): bool  $where
     * @return list<int> movements, in order
     */
    private function among(array $taught, callable $where): array
    {
        $isTaught = array_fill_keys($taught, true);

        return array_values(array_filter($this->movements, static fn (int $position): bool => isset($isTaught[$position]) && $where($position)));
    }
}
