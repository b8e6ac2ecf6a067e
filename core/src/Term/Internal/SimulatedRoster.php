<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Internal;

use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Term\KnownEntry;

/**
 * The memories of a roster while a plan is walked through. A group without students is planned for one who is new. Days
 * are whole numbers ({@see \Gorvan\Core\Reading\Day}).
 *
 * @internal
 */
final class SimulatedRoster
{
    /** @var non-empty-list<array<int, KnownEntry>> */
    private array $students;

    /** @param  list<array<int, KnownEntry>>  $roster */
    public function __construct(array $roster, private readonly MemoryModel $model = new MemoryModel)
    {
        $this->students = $roster === [] ? [[]] : $roster;
    }

    /**
     * Everyone has unmarked contact with the entries on a day; a second one on the same day changes nothing.
     *
     * @param  iterable<int>  $positions
     */
    public function contact(iterable $positions, int $day, Evidence $evidence): void
    {
        foreach ($positions as $position) {
            foreach ($this->students as $at => $known) {
                $before = $known[$position] ?? null;
                if ($before !== null && $before->last >= $day) {
                    continue;
                }
                $state = $before === null
                    ? $this->model->first($evidence)
                    : $this->model->later($before->state, $day - $before->last, $evidence);
                $this->students[$at][$position] = new KnownEntry($state, $day);
            }
        }
    }

    /** Mean recall over the roster; who has never met the entry counts as 0. */
    public function meanRecall(int $position, int $day): float
    {
        $sum = 0.0;
        foreach ($this->students as $known) {
            $entry = $known[$position] ?? null;
            $sum += $entry === null ? 0.0 : $this->model->recall(max(0, $day - $entry->last), $entry->state->stability);
        }

        return $sum / count($this->students);
    }
}
