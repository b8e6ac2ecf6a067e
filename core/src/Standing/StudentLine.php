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
        $since = self::since($form, $facts, $entryOf, $days);
        $line = $tracks = $sided = $counted = [];
        // What does not change from day to day is asked once.
        foreach ($form->entries as $at => $entry) {
            $sided[$at + 1] = $entry->isDoneOnBothSides();
            if ($entry->kind === EntryKind::Movement) {
                $counted[$at + 1] = $sided[$at + 1];
            }
        }
        foreach ($days as $at => $day) {
            $marks = [];
            $known = count($tracks);
            foreach ($since[$at] ?? [] as $position => $new) {
                foreach ($new as $fact) {
                    $fact->kind === FactKind::Mark && $marks[$fact->id] = true;
                }
                $tracks[$position] = $replay->on($tracks[$position] ?? Tracks::none(), $new, $sided[$position]);
            }
            count($tracks) > $known && ksort($tracks);
            $line[] = self::at($counted, $tracks, $day, count($marks), $model);
        }

        return $line;
    }

    /**
     * @param  list<Fact>  $facts
     * @param  callable(string): ?string  $entryOf
     * @param  list<int>  $days
     * @return array<int, array<int, list<Fact>>> by the number of the day at which they are known first, and by position
     */
    private static function since(Form $form, array $facts, callable $entryOf, array $days): array
    {
        $since = [];
        foreach ($facts as $fact) {
            $entry = $fact->subject === null ? null : $entryOf($fact->subject->key());
            $position = $entry === null ? null : $form->positionOf($entry);
            if ($position === null) {
                continue;
            }
            [$from, $to] = [0, count($days)];
            while ($from < $to) {
                $middle = intdiv($from + $to, 2);
                $days[$middle] < $fact->day ? $from = $middle + 1 : $to = $middle;
            }
            $since[$from][$position][] = $fact;
        }

        return $since;
    }

    /**
     * @param  array<int, bool>  $counted  whether each movement is done on both sides, by position
     * @param  array<int, Tracks>  $tracks  by position, ascending
     */
    private static function at(array $counted, array $tracks, int $day, int $marks, MemoryModel $model): self
    {
        [$holding, $expected] = [0, 0.0];
        foreach ($tracks as $position => $of) {
            if (isset($counted[$position])) {
                $whole = EntryStanding::of($position, $of, $counted[$position], $day, $model)->whole;
                $holding += $whole->holds() ? 1 : 0;
                $expected += $whole->recall ?? 0.0;
            }
        }

        return new self($day, $holding, $expected, $marks);
    }
}
