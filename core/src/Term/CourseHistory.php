<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\LessonCut;

/**
 * What the classes so far say of a course: what was given twice, what was taught last, how many lessons came in a row, and the load
 * that was given of it in its term.
 */
final readonly class CourseHistory
{
    /**
     * @param  list<int>  $twice  positions
     * @param  list<Passage>  $row  what was taught since a class that taught nothing new
     */
    private function __construct(public array $twice, public ?Passage $last, public int $inARow, public float $given, public array $row)
    {
    }

    /**
     * @param  list<list<string>>  $evenings  entries each class taught of the form, in order; empty where it taught nothing
     * @param  int  $before  how many of them were before the term of the course
     */
    public static function of(array $evenings, Form $form, LessonCut $cut, int $before = 0): self
    {
        $times = $row = [];
        $last = null;
        $inARow = 0;
        $given = 0.0;
        foreach ($evenings as $at => $entries) {
            $positions = $form->positionsOf($entries);
            if ($positions === []) {
                $inARow = 0;
                $row = [];

                continue;
            }
            foreach ($positions as $position) {
                $times[$position] = ($times[$position] ?? 0) + 1;
            }
            $last = new Passage($positions[0], $positions[count($positions) - 1]);
            $row[] = $last;
            $given += $at < $before ? 0.0 : array_sum(array_map(static fn (int $position): float => $cut->loads[$position - 1]->load ?? 0.0, $positions));
            $inARow += self::lessons($positions, $cut);
        }
        $twice = array_keys(array_filter($times, static fn (int $of): bool => $of > 1));
        sort($twice);

        return new self($twice, $last, $inARow, $given, $row);
    }

    /**
     * How many lessons of the cut some entries belong to.
     *
     * @param  list<int>  $positions
     */
    private static function lessons(array $positions, LessonCut $cut): int
    {
        $touched = 0;
        foreach ($cut->lessons as $lesson) {
            $touched += (int) (array_filter($positions, static fn (int $position): bool => $lesson->from <= $position && $position <= $lesson->to) !== []);
        }

        return max(1, $touched);
    }
}
