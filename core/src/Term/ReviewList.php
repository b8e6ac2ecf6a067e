<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Time\RunTime;

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

    private RunTime $time;

    public function __construct(private Form $form)
    {
        $this->time = new RunTime($form);
    }

    /**
     * @param  array<int, float>  $meanRecall  by position, 0..1, for every entry that is known
     * @return list<PlannedReview> weakest first
     */
    public function fill(int $minutes, array $meanRecall): array
    {
        $byNeed = array_keys($meanRecall);
        usort($byNeed, static fn (int $a, int $b): int => [$meanRecall[$a], $a] <=> [$meanRecall[$b], $b]);
        $chosen = [];
        $spent = 0.0;
        foreach ($byNeed as $position) {
            $joined = (int) isset($chosen[$position - 1]) + (int) isset($chosen[$position + 1]);
            $cost = self::SET_UP_MINUTES * (1 - $joined) + $this->minutes(new Passage($position, $position), self::PASSES);
            if ($spent + $cost <= $minutes + 1e-9) {
                $chosen[$position] = true;
                $spent += $cost;
            }
        }
        $passages = Passage::covering(array_keys($chosen));
        $means = array_map(static fn (Passage $passage): float => self::mean($passage, $meanRecall), $passages);
        array_multisort($means, array_map(static fn (Passage $passage): int => $passage->from, $passages), $passages);
        $passes = $this->withMorePasses($passages, $minutes - $spent);

        return array_map(fn (Passage $passage, float $mean, int $times): PlannedReview => new PlannedReview(
            $this->form->countedIdsOf($passage),
            $times,
            self::SET_UP_MINUTES + $this->minutes($passage, $times),
            ['recall' => $mean],
        ), $passages, $means, $passes);
    }

    /** @param  list<PlannedReview>  $items */
    public static function total(array $items): float
    {
        return array_sum(array_map(static fn (PlannedReview $item): float => $item->minutes, $items));
    }

    /** @param  array<int, float>  $meanRecall */
    private static function mean(Passage $passage, array $meanRecall): float
    {
        $recalls = array_intersect_key($meanRecall, array_flip($passage->positions()));

        return array_sum($recalls) / max(1, count($recalls));
    }

    /**
     * Minutes left over buy further passes, weakest passage first, one pass at a time.
     *
     * @param  list<Passage>  $passages
     * @return list<int> how often each is gone through
     */
    private function withMorePasses(array $passages, float $spare): array
    {
        $passes = array_map(static fn (): int => self::PASSES, $passages);
        for ($round = self::PASSES; $round < self::MOST_PASSES; $round++) {
            foreach ($passages as $at => $passage) {
                $cost = $this->minutes($passage, 1);
                if ($cost <= $spare + 1e-9) {
                    $passes[$at]++;
                    $spare -= $cost;
                }
            }
        }

        return array_values($passes);
    }

    private function minutes(Passage $passage, int $passes): float
    {
        return $passes * $this->time->secondsBetween($passage->from, $passage->to) / 60.0;
    }
}
