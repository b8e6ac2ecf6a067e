<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\RunTime;

/**
 * What to review in some minutes: the known entries with the lowest mean recall first, as long as they fit.
 *
 * Each entry is gone through three times (watch, together, alone: practice); each passage costs 1.5 minutes to set up
 * (*default*). The exact chooser of engine 7 takes this place later.
 */
final readonly class ReviewList
{
    public const PASSES = 3;

    public const MOST_PASSES = 6;

    public const SET_UP_MINUTES = 1.5;

    public function __construct(private RunTime $time)
    {
    }

    /**
     * @param  array<int, float>  $meanRecall  by position, 0..1, for every entry that is known
     * @return list<ReviewItem> weakest first
     */
    public function fill(int $minutes, array $meanRecall): array
    {
        $byNeed = array_keys($meanRecall);
        usort($byNeed, static fn (int $a, int $b): int => [$meanRecall[$a], $a] <=> [$meanRecall[$b], $b]);
        $chosen = [];
        $spent = 0.0;
        foreach ($byNeed as $position) {
            $joined = (int) isset($chosen[$position - 1]) + (int) isset($chosen[$position + 1]);
            $cost = self::SET_UP_MINUTES * (1 - $joined) + $this->minutes($position, $position, self::PASSES);
            if ($spent + $cost <= $minutes + 1e-9) {
                $chosen[$position] = true;
                $spent += $cost;
            }
        }

        return $this->withMorePasses($this->items(array_keys($chosen), $meanRecall), $minutes - $spent);
    }

    /** @param  list<ReviewItem>  $items */
    public static function total(array $items): float
    {
        return array_sum(array_map(static fn (ReviewItem $item): float => $item->minutes, $items));
    }

    /**
     * @param  list<int>  $positions
     * @param  array<int, float>  $meanRecall
     * @return list<ReviewItem>
     */
    private function items(array $positions, array $meanRecall): array
    {
        $items = [];
        foreach (Passage::covering($positions) as $passage) {
            $recalls = array_map(static fn (int $position): float => $meanRecall[$position], $passage->positions());
            $items[] = new ReviewItem(
                $passage,
                self::PASSES,
                self::SET_UP_MINUTES + $this->minutes($passage->from, $passage->to, self::PASSES),
                array_sum($recalls) / count($recalls),
            );
        }
        usort($items, static fn (ReviewItem $a, ReviewItem $b): int => [$a->meanRecall, $a->passage->from] <=> [$b->meanRecall, $b->passage->from]);

        return $items;
    }

    /**
     * Minutes left over buy further passes, weakest passage first, one pass at a time.
     *
     * @param  list<ReviewItem>  $items
     * @return list<ReviewItem>
     */
    private function withMorePasses(array $items, float $spare): array
    {
        for ($passes = self::PASSES + 1; $passes <= self::MOST_PASSES; $passes++) {
            foreach ($items as $at => $item) {
                $cost = $this->minutes($item->passage->from, $item->passage->to, 1);
                if ($cost <= $spare + 1e-9) {
                    $items[$at] = new ReviewItem($item->passage, $item->passes + 1, $item->minutes + $cost, $item->meanRecall);
                    $spare -= $cost;
                }
            }
        }

        return $items;
    }

    private function minutes(int $from, int $to, int $passes): float
    {
        return $passes * $this->time->secondsBetween($from, $to) / 60.0;
    }
}
