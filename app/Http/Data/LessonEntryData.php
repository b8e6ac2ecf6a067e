<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Strain;
use Gorvan\Core\Cue\CueFading;
use Gorvan\Core\Form\CommonError;
use Gorvan\Core\Lesson\Content\BiteDifference;
use Gorvan\Core\Lesson\Content\LessonContent;
use OpenApi\Attributes as OA;

/** An entry of a lesson with everything the form says of it that is taught. `{L}` and `{R}` stand for the student's own sides. */
#[OA\Schema]
final readonly class LessonEntryData
{
    /**
     * @param  list<string>  $cues
     * @param  list<string>  $keyWords  what is left of them
     * @param  list<string>  $firstWords
     * @param  list<string>  $checks
     * @param  list<ErrorData>  $errors
     * @param  list<CautionData>  $cautions
     * @param  list<LessonVariantData>  $variants
     * @param  list<string>  $drills
     * @param  list<string>  $strains
     */
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public string $key,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $cues,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $keyWords,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $firstWords,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $checks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ErrorData::class))]
        public array $errors,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CautionData::class))]
        public array $cautions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LessonVariantData::class))]
        public array $variants,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $drills,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $strains,
        #[OA\Property]
        public ?BiteDifferenceData $difference,
    ) {
    }

    public static function of(LessonContent $content, int $position): self
    {
        $bite = array_values(array_filter($content->differences, static fn (BiteDifference $one): bool => $one->position === $position))[0] ?? null;

        return new self(
            $position,
            $content->form->at($position)->id,
            $content->cues(CueFading::All)[$position] ?? [],
            $content->cues(CueFading::KeyWords)[$position] ?? [],
            $content->cues(CueFading::FirstWord)[$position] ?? [],
            $content->checks()[$position] ?? [],
            array_map(static fn (CommonError $error): ErrorData => new ErrorData($error->wrong, $error->right), $content->errors()[$position] ?? []),
            array_map(static fn (Caution $one): CautionData => new CautionData($one->for->value, $one->do->value, $one->text), $content->cautions()[$position] ?? []),
            array_map(LessonVariantData::of(...), $content->variants()[$position] ?? []),
            $content->ownDrills()[$position] ?? [],
            array_map(static fn (Strain $strain): string => $strain->value, $content->strains()[$position] ?? []),
            $bite === null ? null : BiteDifferenceData::of($bite, $content->form),
        );
    }
}
