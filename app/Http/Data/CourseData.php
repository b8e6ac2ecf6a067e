<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Http\FormEdition;
use App\Models\Course as CourseRow;
use App\Models\PlacedForm;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\CourseForecast;
use Gorvan\Core\Term\LearnedPace;
use OpenApi\Attributes as OA;

/** A form as a group learns it in one term. */
#[OA\Schema]
final readonly class CourseData
{
    /**
     * @param  list<PaceData>  $paces  of its rounds
     * @param  list<PassageData>  $keeps
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public FormRefData $form,
        #[OA\Property]
        public string $approach,
        #[OA\Property]
        public float $share,
        #[OA\Property]
        public PassageData $target,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PaceData::class))]
        public array $paces,
        #[OA\Property]
        public float $gate,
        #[OA\Property]
        public ?int $rhythm,
        #[OA\Property]
        public int $usualRhythm,
        #[OA\Property(description: 'movements an evening, as the teacher says it')]
        public ?float $saidMovements,
        #[OA\Property(description: 'minutes a simple movement takes, as the teacher says it')]
        public ?float $saidMinutes,
        #[OA\Property(description: 'movements an evening, said or not')]
        public float $movements,
        #[OA\Property(description: 'minutes a simple movement takes, said or not')]
        public float $minutesPerLoad,
        #[OA\Property(description: 'lessons lie evenly over the evenings, as the teacher says it')]
        public ?bool $spread,
        #[OA\Property(description: 'whether they do, said or not')]
        public bool $isSpread,
        #[OA\Property]
        public int $reserve,
        #[OA\Property]
        public bool $looksBack,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PassageData::class), description: 'what is kept alive; a course that has some has no lessons')]
        public array $keeps,
        #[OA\Property]
        public ?string $showingOn,
        #[OA\Property]
        public ?int $showingTo,
        #[OA\Property(description: 'the day of a showing that falls out')]
        public ?string $showingFallenOut,
        #[OA\Property]
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
            $course->approach->value,
            $course->share,
            new PassageData($course->target->from, $course->target->to),
            array_values(array_map(static fn (string $kind, LearnedPace $pace): PaceData => new PaceData($kind, $pace->usual, $pace->minutes, $pace->lessons), array_keys($course->paces), $course->paces)),
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
