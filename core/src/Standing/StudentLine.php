<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\FactKind;

/** A student over time (engine 10): each day is a replay up to it, with what the teacher marked since the day before. Pure. */
final readonly class StudentLine
{
    /**
     * @param  int  $holding  movements that hold
     * @param  float  $expected  movements that are expected, the sum of their recalls
     * @param  int  $marks  made since the day before
     */
    private function __construct(public int $day, public int $holding, public float $expected, public int $marks)
    {
    }

    /**
     * @param  list<Fact>  $facts  of one student, that stand, in any order
     * @param  callable(string): ?string  $entryOf  the entry's id in the form by the subject's key
     * @param  list<int>  $days  ascending
     * @return list<self> one a day
     */
    public static function over(Form $form, array $facts, callable $entryOf, array $days, MemoryModel $model = new MemoryModel): array
    {
        $replay = new Replay($model);
        $byEntry = [];
        foreach ($facts as $fact) {
            $entry = $fact->subject === null ? null : $entryOf($fact->subject->key());
            if ($entry !== null && $form->positionOf($entry) !== null) {
                $byEntry[$entry][$fact->day][] = $fact;
            }
        }
        $line = $tracks = [];
        $before = PHP_INT_MIN;
        foreach ($days as $day) {
            $marks = [];
            foreach ($byEntry as $entry => $own) {
                $new = array_merge([], ...array_values(array_filter($own, static fn (int $on): bool => $on > $before && $on <= $day, ARRAY_FILTER_USE_KEY)));
                foreach ($new as $fact) {
                    $fact->kind === FactKind::Mark && $marks[$fact->id] = true;
                }
                if ($new !== []) {
                    $position = (int) $form->positionOf((string) $entry);
                    $tracks[$entry] = $replay->on($tracks[$entry] ?? Tracks::none(), $new, $form->at($position)->isDoneOnBothSides());
                }
            }
            $line[] = self::at($form, $tracks, $day, count($marks), $model);
            $before = $day;
        }

        return $line;
    }

    /** @param  array<string, Tracks>  $tracks  by entry */
    private static function at(Form $form, array $tracks, int $day, int $marks, MemoryModel $model): self
    {
        $standing = StudentStanding::of($form, $tracks, $day, $model);
        $expected = 0.0;
        foreach ($standing->noted() as $entry) {
            $expected += $form->at($entry->position)->kind === EntryKind::Movement ? $entry->whole->recall ?? 0.0 : 0.0;
        }

        return new self($day, count($standing->holding()), $expected, $marks);
    }
}
