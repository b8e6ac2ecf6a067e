<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\PlacedForm;
use Gorvan\Core\Lesson\CutDifference;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Reading\Message;

/** Gives a course its lessons, its form's own or a cut by its minutes, its pins and what its group learned before, and keeps them by entry. */
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
        $lessons = OwnLessons::kept($placed->form, $cut->lessons);
        $was = $row->lessons();
        $row->update(['cut' => ['lessons' => $lessons, 'first' => $cut->lessons[0]->number ?? 1, 'of_form' => $row->takesLessons()]]);
        if ($was === $lessons) {
            return [];
        }

        return $was === [] ? [] : CutDifference::between($was, $lessons, $placed->form);
    }
}
