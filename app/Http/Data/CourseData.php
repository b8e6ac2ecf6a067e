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
    /** @param  list<PaceData>  $paces  of its rounds */
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
        #[OA\Property]
        public ?string $showingOn,
        #[OA\Property]
        public ?int $showingTo,
        #[OA\Property]
        public ?ForecastData $forecast,
    ) {
    }

    /** @param  Course  $course  the row as core knows it, with the pace of its group */
    public static function of(CourseRow $row, PlacedForm $placed, Course $course, ?CourseForecast $forecast): self
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
            $course->showing?->on,
            $course->showing === null ? null : $placed->form->positionOf($course->showing->to),
            $forecast === null ? null : ForecastData::of($forecast),
        );
    }
}
