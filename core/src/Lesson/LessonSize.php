<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\EntryLoad;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;

/**
 * How large lessons should be, as a teacher says it: how many, or their load, or movements, or the minutes of new work and what one
 * unit of load takes; and how much a good place to stop weighs. Null is not said.
 */
final readonly class LessonSize
{
    /** Minutes a unit of load takes where no group has shown its own pace: piece by piece (engine 9). */
    public const MINUTES_PER_LOAD = 6.0;

    /** Movements of a lesson, in tenths (engine 4). */
    public const LEAST_MOVEMENTS = 0.1;

    public const MOST_MOVEMENTS = 20.0;

    /**
     * @param  float|null  $load  of a lesson, more than 0
     * @param  int|null  $count  how many lessons; it stands before the load and the minutes
     * @param  float|null  $minutes  of new work in a lesson
     * @param  float|null  $minutesPerLoad  that one unit of load takes
     * @param  float|null  $movements  in a lesson, of the usual load in their form
     * @param  float|null  $lambda  what a poor place to stop weighs against lessons of unequal load
     *
     * @throws CutImpossible
     */
    public function __construct(
        public ?float $load = null,
        public ?int $count = null,
        public ?float $minutes = null,
        public ?float $minutesPerLoad = null,
        public ?float $lambda = null,
        public ?float $movements = null,
    ) {
        $this->within('movements', $movements, self::LEAST_MOVEMENTS, self::MOST_MOVEMENTS);
        $this->within('minutes', $minutes, 1.0, 180.0);
        $this->within('minutes_per_load', $minutesPerLoad, 0.5, 60.0);
        $this->within('lambda', $lambda, 0.0, 10.0);
    }

    /** The load of a lesson that was said, or that its minutes come to; null where nothing was said or the count stands. */
    public function target(float $usualMinutesPerLoad = self::MINUTES_PER_LOAD): ?float
    {
        return match (true) {
            $this->count !== null => null,
            $this->load !== null => $this->load,
            $this->minutes !== null => $this->minutes / ($this->minutesPerLoad ?? $usualMinutesPerLoad),
            default => null,
        };
    }

    /** The same in a form that no group learns, where movements are the load they come to there. Pure. */
    public function in(Form $form, LoadModel $loads = new LoadModel): self
    {
        if ($this->movements === null) {
            return $this;
        }
        $all = array_sum(array_map(static fn (EntryLoad $one): float => $one->load, $loads->of($form)));
        $count = count(array_filter($form->entries, static fn (Entry $entry): bool => $entry->kind === EntryKind::Movement));

        return new self($this->movements * ($count > 0 && $all > 0.0 ? $all / $count : 1.0), null, null, $this->minutesPerLoad, $this->lambda);
    }

    /** Whether the same is said; a weight that is said is the same as one that is usual. */
    public function isAs(self $other): bool
    {
        $said = static fn (self $of): array => [$of->load, $of->count, $of->minutes, $of->minutesPerLoad, $of->movements, $of->lambda ?? LessonCutter::LAMBDA];

        return $said($this) === $said($other);
    }

    /** @throws CutImpossible */
    private function within(string $what, ?float $is, float $least, float $most): void
    {
        if ($is !== null && ! ($is >= $least && $is <= $most)) {
            throw SizeOutOfRange::of($what, $is, $least, $most);
        }
    }
}
