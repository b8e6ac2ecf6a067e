<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Strain;
use Gorvan\Core\Cue\CueFading;
use Gorvan\Core\Form\CommonError;
use Gorvan\Core\Lesson\Content\BiteDifference;
use Gorvan\Core\Lesson\Content\LessonContent;

/** An entry of a lesson with everything the form says of it that is taught. `{L}` and `{R}` stand for the student's own sides. */
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
     * @param  list<Strain>  $strains
     */
    public function __construct(
        public int $position,
        public string $key,
        public array $cues,
        public array $keyWords,
        public array $firstWords,
        public array $checks,
        public array $errors,
        public array $cautions,
        public array $variants,
        public array $drills,
        public array $strains,
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
            array_map(static fn (Caution $one): CautionData => new CautionData($one->for, $one->do, $one->text), $content->cautions()[$position] ?? []),
            array_map(LessonVariantData::of(...), $content->variants()[$position] ?? []),
            $content->ownDrills()[$position] ?? [],
            $content->strains()[$position] ?? [],
            $bite === null ? null : BiteDifferenceData::of($bite, $content->form),
        );
    }
}
