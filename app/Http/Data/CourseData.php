<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Course as CourseRow;
use App\Models\PlacedForm;
use Gorvan\Core\Term\CourseForecast;
use OpenApi\Attributes as OA;

/** A form as a group learns it in one term. */
#[OA\Schema]
final readonly class CourseData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public FormData $form,
        #[OA\Property]
        public string $approach,
        #[OA\Property]
        public float $share,
        #[OA\Property]
        public PassageData $target,
        #[OA\Property]
        public float $minutesPerLoad,
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

    public static function of(CourseRow $row, PlacedForm $placed, ?CourseForecast $forecast): self
    {
        $course = $row->course($placed);

        return new self(
            $row->id,
            FormData::inCourse($row->form, $placed, $row),
            $course->approach->value,
            $course->share,
            new PassageData($course->target->from, $course->target->to),
            $course->approach->minutesPerLoad(),
            $course->gate(),
            $row->rhythm,
            $course->approach->rhythm(),
            $course->showing?->on,
            $course->showing === null ? null : $placed->form->positionOf($course->showing->to),
            $forecast === null ? null : ForecastData::of($forecast),
        );
    }
}
