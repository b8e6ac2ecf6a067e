<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\Passage;

/** What one student has to catch up with, the most needed first (engine 10): missed and holes. */
final readonly class CatchUp
{
    /** @param  float|null  $recall  null where it was never met */
    private function __construct(public int $position, public bool $isMissed, public CatchUpNeed $need, public ?float $recall)
    {
    }

    /**
     * @param  list<int>  $taught  positions given to the group
     * @param  Passage|null  $recap  of the next lesson
     * @param  list<int>  $review  positions of tonight's review
     * @return list<self> those in the recap, then those in the review, then the rest; in each by lowest recall, then place
     */
    public static function of(StudentStanding $standing, array $taught, ?Passage $recap, array $review): array
    {
        $inRecap = array_fill_keys($recap?->positions() ?? [], true);
        $inReview = array_fill_keys($review, true);
        $all = [];
        $missed = array_fill_keys($standing->missed($taught), true);
        foreach (array_unique([...array_keys($missed), ...$standing->holes($taught)]) as $position) {
            $all[] = new self(
                $position,
                isset($missed[$position]),
                match (true) {
                    isset($inRecap[$position]) => CatchUpNeed::Recap,
                    isset($inReview[$position]) => CatchUpNeed::Review,
                    default => CatchUpNeed::Later,
                },
                $standing->at($position)->whole->recall,
            );
        }
        usort($all, static fn (self $a, self $b): int => $a->key() <=> $b->key());

        return $all;
    }

    /**
     * Whose need comes first: by the first thing each lacks, then by how much they lack.
     *
     * @param  non-empty-list<self>  $one
     * @param  non-empty-list<self>  $other
     */
    public static function compared(array $one, array $other): int
    {
        return [$one[0]->need->rank(), -count($one), ...$one[0]->key()] <=> [$other[0]->need->rank(), -count($other), ...$other[0]->key()];
    }

    /** @return array{int, float, int} by which the most needed comes first */
    private function key(): array
    {
        return [$this->need->rank(), $this->recall ?? 0.0, $this->position];
    }
}
