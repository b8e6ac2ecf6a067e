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
        $days = PracticeDays::between($request->on, $request->next, $request->days);
        $with = $without = $items = [];
        foreach ($request->entries as $at => $item) {
            if ($item === null) {
                $items[] = null;

                continue;
            }
            $without[$at] = $this->model->read(max(0, $request->next - $item->known->last), $item->known->state->stability);
            $with[$at] = $this->after($item->known, $days, $request->next);
            $items[] = new ReviewItem($item->weight * ($with[$at] - $without[$at]), self::PASSES * $item->seconds / 60.0);
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
