<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\Passage;

/**
 * Where one student stands in a form (engine 10). Only movements are counted: connectors, openings, closings and
 * extras neither break a run nor extend it.
 */
final readonly class StudentStanding
{
    /** @var array<int, EntryStanding> by position */
    private array $entries;

    /** @param  iterable<EntryStanding>  $entries those without any record may be left out */
    public function __construct(private Form $form, iterable $entries)
    {
        $byPosition = [];
        foreach ($entries as $entry) {
            $byPosition[$entry->position] = $entry;
        }
        $this->entries = $byPosition;
    }

    public function at(int $position): EntryStanding
    {
        return $this->entries[$position] ?? new EntryStanding($position, null, null);
    }

    /**
     * The position of the last movement of the longest passing run from the start, forgiving one gap of one movement;
     * null when there is no such run.
     */
    public function frontier(): ?int
    {
        $frontier = null;
        $forgiven = false;
        $movements = $this->movements();
        foreach ($movements as $at => $position) {
            if ($this->at($position)->passes()) {
                $frontier = $position;

                continue;
            }
            $next = $movements[$at + 1] ?? null;
            if ($forgiven || $next === null || ! $this->at($next)->passes()) {
                break;
            }
            $forgiven = true;
        }

        return $frontier;
    }

    /** @return list<int> positions that hold: remembered, and last seen alone or better */
    public function holding(): array
    {
        return array_values(array_filter($this->movements(), fn (int $position): bool => $this->at($position)->holds()));
    }

    /**
     * Taught to the group, not passing, before the student's furthest passing movement.
     *
     * @param  list<int>  $taught
     * @return list<int>
     */
    public function holes(array $taught): array
    {
        $furthest = $this->furthestPassing();

        return $this->lacking($taught, static fn (int $position): bool => $position < $furthest);
    }

    /**
     * Taught to the group, not passing, after the student's furthest passing movement.
     *
     * @param  list<int>  $taught
     * @return list<int>
     */
    public function behind(array $taught): array
    {
        $furthest = $this->furthestPassing();

        return $this->lacking($taught, static fn (int $position): bool => $position > $furthest);
    }

    /**
     * Taught to the group and not met by the student since.
     *
     * @param  list<int>  $taught
     * @return list<int>
     */
    public function missed(array $taught): array
    {
        return $this->lacking($taught, fn (int $position): bool => ! $this->at($position)->isMet());
    }

    /** @return list<int> the entries of the recap that keep the student from being ready; none: ready */
    public function notReadyIn(?Passage $recap): array
    {
        return array_values(array_filter(
            $recap?->positions() ?? [],
            fn (int $position): bool => $this->form->at($position)->kind->countsInForm() && ! $this->at($position)->isReady(),
        ));
    }

    private function furthestPassing(): int
    {
        return max([0, ...array_filter($this->movements(), fn (int $position): bool => $this->at($position)->passes())]);
    }

    /**
     * @param  list<int>  $taught
     * @param  callable(int): bool  $where
     * @return list<int>
     */
    private function lacking(array $taught, callable $where): array
    {
        $isTaught = array_fill_keys($taught, true);

        return array_values(array_filter(
            $this->movements(),
            fn (int $position): bool => isset($isTaught[$position]) && ! $this->at($position)->passes() && $where($position),
        ));
    }

    /** @return list<int> */
    private function movements(): array
    {
        $positions = [];
        foreach ($this->form->entries as $at => $entry) {
            if ($entry->kind === EntryKind::Movement) {
                $positions[] = $at + 1;
            }
        }

        return $positions;
    }
}
