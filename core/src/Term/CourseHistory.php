<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\LessonCut;

/** What the classes so far say of a course: what was given twice, what was taught last, and how many lessons came in a row. */
final readonly class CourseHistory
{
    /** @param  list<int>  $twice  positions */
    private function __construct(public array $twice, public ?Passage $last, public int $inARow)
    {
    }

    /** @param  list<list<string>>  $evenings  entries each class taught of the form, in order; empty where it taught nothing */
    public static function of(array $evenings, Form $form, LessonCut $cut): self
    {
        $times = [];
        $last = null;
        $inARow = 0;
        foreach ($evenings as $entries) {
            $positions = $form->positionsOf($entries);
            if ($positions === []) {
                $inARow = 0;

                continue;
            }
            foreach ($positions as $position) {
                $times[$position] = ($times[$position] ?? 0) + 1;
            }
            $last = new Passage($positions[0], $positions[count($positions) - 1]);
            $inARow += self::lessons($positions, $cut);
        }
        $twice = array_keys(array_filter($times, static fn (int $of): bool => $of > 1));
        sort($twice);

        return new self($twice, $last, $inARow);
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
