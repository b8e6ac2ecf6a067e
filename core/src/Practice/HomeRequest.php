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
use LogicException;

/** What one student may practise of all forms of a term, one after the other, and where each entry stands in them. */
final readonly class HomeRequest
{
    /**
     * @param  list<array{float, float}|null>  $prospects  what is remembered of each entry, {@see PracticePlanner::prospects()}
     * @param  list<array{int, int}|null>  $places  which course and which position in its form; null between two forms
     * @param  array<int, array<int, HomeCare>>  $cares  by course and position
     */
    private function __construct(public PracticeRequest $request, public array $prospects, private array $places, private array $cares)
    {
    }

    /** @param  list<HomeCourse>  $courses */
    public static function of(array $courses, Spared $spared, int $on, int $next, float $minutes, int $days, MemoryModel $model): self
    {
        $items = $places = $cares = [];
        // Most spare nothing, and do every entry as it is.
        $none = $spared->isNothing() ? HomeCare::none() : null;
        foreach ($courses as $at => $course) {
            // Two forms have no join.
            if ($at > 0) {
                [$items[], $places[]] = [null, null];
            }
            $time = new RunTime($course->form);
            $leads = array_fill_keys($course->leadsOn, PracticeItem::LEADS_ON);
            foreach ($course->form->entries as $n => $entry) {
                if (! $entry->kind->countsInForm()) {
                    continue;
                }
                $care = $cares[$at][$n + 1] = $none ?? HomeCare::of($spared, $entry);
                $known = isset($course->tracks[$entry->id]) ? KnownEntry::weakerOf($course->tracks[$entry->id], $next, $model) : null;
                $items[] = $known === null || $care->isLeftOut ? null : new PracticeItem($known, $time->secondsOf($n + 1) ?? 0.0, $leads[$entry->id] ?? 1.0);
                $places[] = [$at, $n + 1];
            }
        }

        $request = new PracticeRequest($on, $next, $items, $minutes, $days);

        return new self($request, (new PracticePlanner($model))->prospects($request), $places, $cares);
    }

    /** @return non-empty-list<array{int, int}> course and position of the entries of a passage of the request */
    public function placesOf(Passage $passage): array
    {
        $own = array_values(array_filter(array_map(fn (int $position): ?array => $this->places[$position - 1], $passage->positions())));

        return $own === [] ? throw new LogicException('a passage that is chosen has entries') : $own;
    }

    /**
     * @param  list<HomeCourse>  $courses
     * @param  array{int, int}  $place
     */
    public function entry(array $courses, array $place, int $next, MemoryModel $model): SheetEntry
    {
        [$at, $position] = $place;
        $tracks = $courses[$at]->tracks[$courses[$at]->form->at($position)->id] ?? null;

        return new SheetEntry($position, $this->cares[$at][$position], $tracks === null ? null : self::weaker($tracks, $next, $model));
    }

    private static function weaker(Tracks $tracks, int $day, MemoryModel $model): ?Side
    {
        [$left, $right] = [$tracks->left?->recallOn($day, $model), $tracks->right?->recallOn($day, $model)];

        return $left === null || $right === null || $left === $right ? null : ($left < $right ? Side::Left : Side::Right);
    }
}
