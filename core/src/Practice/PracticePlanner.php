<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Term\ChosenPassage;
use Gorvan\Core\Term\KnownEntry;
use Gorvan\Core\Term\ReviewChooser;
use Gorvan\Core\Term\ReviewItem;
use Gorvan\Core\Term\ReviewProblem;

/**
 * Chooses what somebody practises at home (engine 18): at most three passages within the minutes of a day, gone through twice on
 * each of the days, which are worth most at the next meeting. Exact, as the review of a class is ({@see ReviewChooser}). Pure.
 */
final readonly class PracticePlanner
{
    private const PASSAGES = 3;

    private const PASSES = 2;

    /** An entry that takes longer is practised once. */
    private const LONG_SECONDS = 120.0;

    /** Minutes to begin a passage. */
    private const SET_UP = 0.5;

    public function __construct(private MemoryModel $model = new MemoryModel, private ReviewChooser $chooser = new ReviewChooser)
    {
    }

    public function plan(PracticeRequest $request): PracticePlan
    {
        return $this->together([$request]);
    }

    /**
     * What is remembered of each entry at the next meeting, without practising and after it on each of the days.
     *
     * @return list<array{float, float}|null> probabilities, in the order of the entries; null where there is nothing to practise
     */
    public function prospects(PracticeRequest $request): array
    {
        $days = PracticeDays::between($request->on, $request->next, $request->days);
        $practised = Evidence::practised();

        return array_map(fn (?PracticeItem $item): ?array => $item === null ? null : [
            $this->model->read(max(0, $request->next - $item->known->last), $item->known->state->stability),
            $this->after($item->known, $days, $request->next, $practised),
        ], $request->entries);
    }

    /**
     * One plan for several: an entry is worth what it adds on average over all of them, those who have not met it, or do not do
     * it at home, among them; nobody's sheet holds an entry that none of them can practise.
     *
     * @param  non-empty-list<PracticeRequest>  $requests  of one form and one week, each somebody's
     * @param  list<list<array{float, float}|null>>|null  $prospects  of each, where they are known already ({@see prospects()})
     */
    public function together(array $requests, ?array $prospects = null): PracticePlan
    {
        $request = $requests[0];
        $prospects ??= array_map($this->prospects(...), $requests);
        $days = PracticeDays::between($request->on, $request->next, $request->days);
        $with = $without = $items = [];
        foreach (array_keys($request->entries) as $at) {
            $seconds = null;
            $gain = 0.0;
            $before = $after = [];
            foreach ($requests as $who => $one) {
                $item = $one->entries[$at];
                if ($item === null || $prospects[$who][$at] === null) {
                    continue;
                }
                $before[] = $was = $prospects[$who][$at][0];
                $after[] = $is = $prospects[$who][$at][1];
                $gain += $item->weight * ($is - $was);
                $seconds ??= $item->seconds;
            }
            if ($seconds === null) {
                $items[] = null;

                continue;
            }
            [$without[$at], $with[$at]] = [array_sum($before) / count($before), array_sum($after) / count($after)];
            // What takes long is practised once, and no longer than the sheet is.
            $items[] = new ReviewItem($gain / count($requests), $seconds > self::LONG_SECONDS ? min($seconds / 60.0, max(0.0, $request->minutes - self::SET_UP)) : self::PASSES * $seconds / 60.0);
        }
        // Without a day to practise on nothing is worth anything, and nothing is chosen.
        $chosen = $days === [] ? [] : $this->chooser->choose(new ReviewProblem($items, $request->minutes, self::SET_UP, self::PASSAGES))->passages;

        return new PracticePlan($days, array_map(static fn (ChosenPassage $one): PracticePassage => new PracticePassage(
            $one->passage,
            $one->minutes,
            $one->value,
            self::mean($with, $one),
            self::mean($without, $one),
        ), $chosen));
    }

    /**
     * Recall on a day, after practising on some days before it.
     *
     * @param  list<int>  $days
     */
    private function after(KnownEntry $known, array $days, int $on, Evidence $practised): float
    {
        [$state, $last] = [$known->state, $known->last];
        foreach ($days as $day) {
            // A day that is in the memory already is practised once.
            if ($day > $last) {
                $state = $this->model->later($state, $day - $last, $practised);
                $last = $day;
            }
        }

        return $this->model->read(max(0, $on - $last), $state->stability);
    }

    /** @param  array<int, float>  $recall */
    private static function mean(array $recall, ChosenPassage $one): float
    {
        $own = array_map(static fn (int $position): float => $recall[$position - 1], $one->passage->positions());

        return array_sum($own) / count($own);
    }
}
