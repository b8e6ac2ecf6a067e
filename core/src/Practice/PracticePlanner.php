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
     * One plan for several: an entry is worth what it adds on average over all of them, those who have not met it, or do not do
     * it at home, among them; nobody's sheet holds an entry that none of them can practise.
     *
     * @param  non-empty-list<PracticeRequest>  $requests  of one form and one week, each somebody's
     */
    public function together(array $requests): PracticePlan
    {
        $request = $requests[0];
        $days = PracticeDays::between($request->on, $request->next, $request->days);
        $with = $without = $items = [];
        foreach (array_keys($request->entries) as $at) {
            $known = array_values(array_filter(array_map(static fn (PracticeRequest $one): ?PracticeItem => $one->entries[$at], $requests)));
            if ($known === []) {
                $items[] = null;

                continue;
            }
            $gain = 0.0;
            $before = $after = [];
            foreach ($known as $item) {
                $before[] = $was = $this->model->read(max(0, $request->next - $item->known->last), $item->known->state->stability);
                $after[] = $is = $this->after($item->known, $days, $request->next);
                $gain += $item->weight * ($is - $was);
            }
            [$without[$at], $with[$at]] = [array_sum($before) / count($known), array_sum($after) / count($known)];
            $items[] = new ReviewItem($gain / count($requests), self::PASSES * $known[0]->seconds / 60.0);
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
    private function after(KnownEntry $known, array $days, int $on): float
    {
        [$state, $last] = [$known->state, $known->last];
        foreach ($days as $day) {
            // A day that is in the memory already is practised once.
            if ($day > $last) {
                $state = $this->model->later($state, $day - $last, Evidence::practised());
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
