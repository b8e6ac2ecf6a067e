<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\EntryLoad;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;

/** A form cut into lessons, with everything the cut was decided by. */
final readonly class LessonCut
{
    /**
     * @param  list<EntryLoad>  $loads
     * @param  list<JoinRest>  $joins
     * @param  list<Lesson>  $lessons
     * @param  Passage  $passage  what was cut
     */
    public function __construct(
        public float $target,
        public float $lambda,
        public float $objective,
        public array $loads,
        public array $joins,
        public array $lessons,
        public Passage $passage,
    ) {
    }

    /**
     * A cut as it stands, with what it costs by the size of its lessons: the sum that {@see LessonCutter} minimises.
     *
     * @param  list<EntryLoad>  $loads
     * @param  list<JoinRest>  $joins
     * @param  list<Lesson>  $lessons
     */
    public static function made(float $target, float $lambda, array $loads, array $joins, array $lessons, Passage $passage): self
    {
        $cost = 0.0;
        foreach ($lessons as $at => $lesson) {
            $cost += ($target > 0.0 ? (($lesson->load - $target) / $target) ** 2 : 0.0) + ($at < count($lessons) - 1 ? $lambda * (1.0 - ($joins[$lesson->to - 1]->rest ?? 1.0)) : 0.0);
        }

        return new self($target, $lambda, $cost, $loads, $joins, $lessons, $passage);
    }

    /**
     * Load of the lightest lesson and of the heaviest; 0 where there is none.
     *
     * @return array{float, float}
     */
    public function range(): array
    {
        $loads = array_map(static fn (Lesson $lesson): float => $lesson->load, $this->lessons);

        return $loads === [] ? [0.0, 0.0] : [min($loads), max($loads)];
    }

    /**
     * The lessons of which something that counts was not taught.
     *
     * @param  array<int, mixed>  $taught  by position
     * @return list<Lesson>
     */
    public function left(Form $form, array $taught): array
    {
        return array_values(array_filter($this->lessons, static fn (Lesson $lesson): bool => array_filter(
            range($lesson->from, $lesson->to),
            static fn (int $at): bool => ! isset($taught[$at]) && $form->at($at)->kind->countsInForm(),
        ) !== []));
    }

    /** How many lessons end where it is not good to stop. */
    public function poorStops(): int
    {
        return count(array_filter(array_slice($this->lessons, 0, -1), fn (Lesson $lesson): bool => ! (($this->joins[$lesson->to - 1] ?? null)?->isGood() ?? true)));
    }

    /** How many lessons of the usual size the passage is worth; where no size was asked for, as many as it has. */
    public function worth(): int
    {
        return $this->target > 0.0 ? self::lessonsIn($this->totalLoad(), $this->target) : count($this->lessons);
    }

    /** How many lessons of a size a load comes to, halves up, one at least. */
    public static function lessonsIn(float $load, float $target): int
    {
        // A half that sums of tenths have missed by a hair is a half.
        return max(1, (int) floor(round(min($load / $target, 1e6), 9) + 0.5));
    }

    /**
     * How much more it costs than the best one, as a share of that: 0.05 is a twentieth more. Sums that are weighed
     * otherwise, or of another number of lessons, are not compared, and of nothing there is no share: null.
     */
    public function dearerThan(self $best): ?float
    {
        if ($this->lambda !== $best->lambda || count($this->lessons) !== count($best->lessons)) {
            return null;
        }

        if ($best->objective <= 0.0) {
            return $this->objective <= 0.0 ? 0.0 : null;
        }

        return $this->objective / $best->objective - 1.0;
    }

    /** Of the passage that was cut. */
    public function totalLoad(): float
    {
        return $this->loadOf($this->passage);
    }

    public function loadOf(Passage $passage): float
    {
        return array_sum(array_map(static fn (EntryLoad $load): float => $load->load, array_slice($this->loads, $passage->from - 1, $passage->to - $passage->from + 1)));
    }
}
