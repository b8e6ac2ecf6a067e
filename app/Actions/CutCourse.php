<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\PlacedForm;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\CutDifference;
use Gorvan\Core\Lesson\Lesson;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Reading\Message;

/** Cuts a course into lessons by its minutes, its pins and what its group learned before, and keeps them by entry. */
final class CutCourse
{
    public function __construct(private readonly LessonCutter $cutter, private readonly PacedCourse $paced)
    {
    }

    /**
     * @param  list<int>  $minutes  of the term's meetings
     * @return list<Message> what it moved
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible and nothing is changed
     */
    public function __invoke(Course $row, PlacedForm $placed, array $minutes): array
    {
        $cut = ($this->paced)($row, $placed)->cut($this->cutter, $minutes, $this->paced->learned($row, $placed));
        $lessons = array_map(static fn (Lesson $lesson): array => $placed->form->idsOf(new Passage($lesson->from, $lesson->to)), $cut->lessons);
        $was = $row->lessons();
        if ($was === $lessons) {
            return [];
        }
        $row->update(['cut' => ['lessons' => $lessons]]);

        return $was === [] ? [] : CutDifference::between($was, $lessons, $placed->form);
    }
}
