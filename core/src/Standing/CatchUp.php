<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Time\Passes;
use Gorvan\Core\Form\Time\RunTime;

/**
 * A passage that one student has to catch up with (engine 10): what they missed, holes and what they are behind in. Movements
 * that lie together and are needed equally soon are one passage, for that is the shortest way back.
 */
final readonly class CatchUp
{
    /**
     * @param  non-empty-list<Lacking>  $lacking  its movements, in order
     * @param  int  $minutes  to go through it three times, with setting up
     */
    private function __construct(public Passage $passage, public CatchUpNeed $need, public array $lacking, public int $minutes)
    {
    }

    /**
     * @param  list<int>  $taught  positions given to the group
     * @param  Passage|null  $recap  of the next lesson
     * @param  list<int>  $review  positions of tonight's review
     * @return list<self> those in the recap, then those in the review, then the rest; in each by lowest recall, then place
     */
    public static function of(Form $form, StudentStanding $standing, array $taught, ?Passage $recap, array $review): array
    {
        $lacking = [];
        foreach ([[CatchUpKind::Behind, $standing->behind($taught)], [CatchUpKind::Hole, $standing->holes($taught)], [CatchUpKind::Missed, $standing->missed($taught)]] as [$kind, $positions]) {
            foreach ($positions as $position) {
                $lacking[$position] = new Lacking($kind, $standing->at($position));
            }
        }
        ksort($lacking);
        $inRecap = array_fill_keys($recap?->positions() ?? [], true);
        $inReview = array_fill_keys($review, true);
        $needs = [];
        foreach (array_keys($lacking) as $position) {
            $need = match (true) {
                isset($inRecap[$position]) => CatchUpNeed::Recap,
                isset($inReview[$position]) => CatchUpNeed::Review,
                default => CatchUpNeed::Later,
            };
            $needs[$need->value][] = $position;
        }
        $all = [];
        foreach ($needs as $need => $positions) {
            foreach ($form->runsOfMovements($positions) as $passage) {
                $own = array_intersect_key($lacking, array_fill_keys($passage->positions(), true));
                if ($own !== []) {
                    $all[] = self::passage($form, $passage, CatchUpNeed::from($need), $own);
                }
            }
        }
        usort($all, static fn (self $a, self $b): int => $a->key() <=> $b->key());

        return $all;
    }

    /**
     * The shortest way back, in minutes.
     *
     * @param  list<self>  $all
     */
    public static function minutesOf(array $all): int
    {
        return array_sum(array_map(static fn (self $one): int => $one->minutes, $all));
    }

    /**
     * Whose need comes first: by the first thing each lacks, then by how much they lack.
     *
     * @param  non-empty-list<self>  $one
     * @param  non-empty-list<self>  $other
     */
    public static function compared(array $one, array $other): int
    {
        return [$one[0]->need->rank(), -self::movements($one), ...$one[0]->key()] <=> [$other[0]->need->rank(), -self::movements($other), ...$other[0]->key()];
    }

    /** @param  list<self>  $all */
    private static function movements(array $all): int
    {
        return array_sum(array_map(static fn (self $each): int => count($each->lacking), $all));
    }

    /** @param  non-empty-array<int, Lacking>  $lacking  by position */
    private static function passage(Form $form, Passage $passage, CatchUpNeed $need, array $lacking): self
    {
        $time = new RunTime($form);
        $minutes = Passes::SET_UP;
        foreach ($passage->positions() as $position) {
            $minutes += Passes::minutes($time->secondsOf($position) ?? 0.0);
        }

        return new self($passage, $need, array_values($lacking), (int) ceil(round($minutes, 9)));
    }

    /** @return array{int, float, int} by which the most needed comes first */
    private function key(): array
    {
        return [$this->need->rank(), min(array_map(static fn (Lacking $one): float => $one->recall(), $this->lacking)), $this->passage->from];
    }
}
