<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Http\FormEdition;
use App\Models\Course as CourseRow;
use App\Models\PlacedForm;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\CourseForecast;
use Gorvan\Core\Term\LearnedPace;
use Gorvan\Core\Term\LessonKind;

/** A form as a group learns it in one term. */
final readonly class CourseData
{
    /**
     * @param  list<PaceData>  $paces  of its rounds
     * @param  list<PassageData>  $keeps  what is kept alive; a course that has some has no lessons
     * @param  float|null  $saidMovements  movements an evening, as the teacher says it
     * @param  float|null  $saidMinutes  minutes a simple movement takes, as the teacher says it
     * @param  float  $movements  movements an evening, said or not
     * @param  float  $minutesPerLoad  minutes a simple movement takes, said or not
     * @param  bool|null  $spread  lessons lie evenly over the evenings, as the teacher says it
     * @param  bool  $isSpread  whether they do, said or not
     * @param  string|null  $showingFallenOut  the day of a showing that falls out
     */
    public function __construct(
        public string $id,
        public FormRefData $form,
        public Approach $approach,
        public float $share,
        public PassageData $target,
        public array $paces,
        public float $gate,
        public ?int $rhythm,
        public int $usualRhythm,
        public ?float $saidMovements,
        public ?float $saidMinutes,
        public float $movements,
        public float $minutesPerLoad,
        public ?bool $spread,
        public bool $isSpread,
        public int $reserve,
        public bool $looksBack,
        public array $keeps,
        public ?string $showingOn,
        public ?int $showingTo,
        public ?string $showingFallenOut,
        public ?ForecastData $forecast,
    ) {
    }

    /**
     * @param  Course  $course  the row as core knows it, with the pace of its group
     * @param  array<string, string>  $names  of students, by id
     */
    public static function of(CourseRow $row, PlacedForm $placed, Course $course, ?CourseForecast $forecast, array $names): self
    {
        return new self(
            $row->id,
            new FormRefData($row->form_id, $row->form->title, FormEdition::inCourse($row)),
            $course->approach,
            $course->share,
            new PassageData($course->target->from, $course->target->to),
            array_values(array_map(static fn (string $kind, LearnedPace $pace): PaceData => new PaceData(LessonKind::from($kind), $pace->usual, $pace->minutes, $pace->lessons), array_keys($course->paces), $course->paces)),
            $course->gate(),
            $row->rhythm,
            $course->approach->rhythm(),
            $course->said()?->movements,
            $course->said()?->minutes,
            $course->pace->movements ?? 1.0,
            $course->minutesPerLoad($course->approach->mainRound()),
            $row->spread,
            $row->spread ?? $row->settled_spread ?? false,
            $course->reserve,
            $course->looksBack,
            array_values(array_filter(array_map(static fn (array $entries): ?PassageData => PassageData::of($placed->form->passageOf($entries)), $course->keeps))),
            $course->showing?->on,
            $course->showing === null ? null : $placed->form->positionOf($course->showing->to),
            $course->fallenOut,
            $forecast === null ? null : ForecastData::of($forecast, $names),
        );
    }
}
