<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course as CourseRow;
use App\Models\Form;
use App\Models\Meeting;
use App\Models\PlacedForm;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Lesson\CutScope;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Term\PaceSentence;
use Gorvan\Core\Term\SaidPace;

/** Cuts a form, or a course of it, in a size that is only tried: nothing is kept. */
final class TryCut
{
    public function __construct(private readonly LessonCutter $cutter, private readonly PacedCourse $paced)
    {
    }

    /**
     * @param  bool  $isFree  without the pins and bars of a teacher's hand; a course keeps those of its form
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function __invoke(PlacedForm $placed, ?CourseRow $course, LessonSize $size, bool $isFree = false): TriedCut
    {
        if ($course === null) {
            $form = $isFree ? $placed->form->with(['entries' => array_map(static fn (Entry $entry): Entry => $entry->cut === null ? $entry : $entry->with(['cut' => null]), $placed->form->entries)]) : $placed->form;
            $cut = $this->cutter->weighing($size->lambda)->cut($form, $size->in($form)->target(), $size->count);

            return new TriedCut($form, CutScope::whole($form), $cut, LessonSize::MINUTES_PER_LOAD);
        }
        $paced = ($this->paced)($course, $placed)->with(['size' => $size, 'said' => SaidPace::after($size, SaidPace::ofSize($course->size())), ...($isFree ? ['pins' => []] : []), ...($isFree || ! $size->isAs($course->size()) ? ['takesLessons' => false] : [])]);
        $learned = $this->paced->learned($course, $placed);
        $minutes = array_values(Meeting::where('term_id', $course->term_id)->where('state', '<>', 'cancelled')->pluck('minutes')->all());

        return new TriedCut($placed->form, $paced->scope($learned), $paced->cut($this->cutter, $minutes, $learned), $paced->minutesPerLoad(), PaceSentence::of($paced->paced($minutes, $learned)));
    }

    /**
     * What a size comes to on the workbench: the form's own lessons, while no other is tried than the one they are kept in.
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function sized(Form $row, PlacedForm $placed, ?CourseRow $course, LessonSize $size): TriedCut
    {
        return $course === null && $placed->form->lessons !== [] && $size->isAs($row->size())
            ? new TriedCut($placed->form, CutScope::whole($placed->form), $this->kept($row, $placed, null), LessonSize::MINUTES_PER_LOAD)
            : $this($placed, $course, $size);
    }

    /** The lessons a form or a course has now. */
    public function kept(Form $row, PlacedForm $placed, ?CourseRow $course): LessonCut
    {
        if ($course === null) {
            return $row->cut($this->cutter, $placed);
        }
        $learned = $this->paced->learned($course, $placed);

        return $course->kept($this->cutter, $placed, $learned);
    }
}
