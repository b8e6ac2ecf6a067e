<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Care\Spared;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Term\KnownEntry;

/** What one student takes home from a meeting, over all forms of the term (engine 18). Immutable. */
final readonly class PracticeSheet
{
    /**
     * @param  list<int>  $days  ({@see \Gorvan\Core\Reading\Day})
     * @param  list<SheetPassage>  $passages
     */
    private function __construct(public array $days, public array $passages)
    {
    }

    /**
     * @param  list<HomeCourse>  $courses
     * @param  int  $on  the day of the meeting before, and `next` of the one after it
     */
    public static function of(array $courses, Spared $spared, int $on, int $next, float $minutes, int $days, MemoryModel $model = new MemoryModel): self
    {
        $items = $places = $cares = [];
        foreach ($courses as $at => $course) {
            // Two forms have no join.
            if ($at > 0) {
                [$items[], $places[]] = [null, null];
            }
            $time = new RunTime($course->form);
            foreach ($course->form->entries as $n => $entry) {
                if (! $entry->kind->countsInForm()) {
                    continue;
                }
                $care = $cares[$at][$n + 1] = HomeCare::of($spared, $entry);
                $known = isset($course->tracks[$entry->id]) ? KnownEntry::weakerOf($course->tracks[$entry->id], $next, $model) : null;
                $items[] = $known === null || $care->isLeftOut ? null : new PracticeItem($known, $time->secondsOf($n + 1) ?? 0.0, in_array($entry->id, $course->leadsOn, true) ? PracticeItem::LEADS_ON : 1.0);
                $places[] = [$at, $n + 1];
            }
        }
        $plan = (new PracticePlanner($model))->plan(new PracticeRequest($on, $next, $items, $minutes, $days));
        $passages = [];
        foreach ($plan->passages as $one) {
            $own = array_values(array_filter(array_map(static fn (int $position): ?array => $places[$position - 1], $one->passage->positions())));
            [$at, $first] = $own[0];
            $course = $courses[$at];
            $entries = array_map(static fn (array $place): SheetEntry => new SheetEntry($place[1], $cares[$at][$place[1]], self::weaker($course->tracks[$course->form->at($place[1])->id], $next, $model)), $own);
            $passages[] = new SheetPassage(
                $course->id,
                new Passage($first, $own[count($own) - 1][1]),
                $one->minutes,
                $one->recallWith,
                $one->recallWithout,
                $entries,
                array_filter($own, static fn (array $place): bool => in_array($course->form->at($place[1])->id, $course->leadsOn, true)) !== [],
            );
        }

        return new self($plan->days, $passages);
    }

    public function minutes(): float
    {
        return array_sum(array_map(static fn (SheetPassage $one): float => $one->minutes, $this->passages));
    }

    private static function weaker(Tracks $tracks, int $day, MemoryModel $model): ?Side
    {
        [$left, $right] = [$tracks->left?->recallOn($day, $model), $tracks->right?->recallOn($day, $model)];

        return $left === null || $right === null || $left === $right ? null : ($left < $right ? Side::Left : Side::Right);
    }
}
