<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\LessonInCut;
use Gorvan\Core\Form\Form;
use OpenApi\Attributes as OA;

/** A lesson in a list. */
#[OA\Schema]
final readonly class LessonRow
{
    /**
     * @param  int|null  $number  in the cut; null for one that is written and has no place in it any more
     * @param  string|null  $written  id of what is written for it
     */
    public function __construct(
        #[OA\Property]
        public ?int $number,
        #[OA\Property]
        public ?PassageData $passage,
        #[OA\Property]
        public ?float $load,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public ?string $title,
        #[OA\Property]
        public ?string $written,
    ) {
    }

    public static function of(LessonInCut $lesson, Form $form): self
    {
        return new self($lesson->number, PassageData::of($form->passageOf($lesson->entries)), $lesson->load, $lesson->written->kind->value ?? 'new', $lesson->written?->title, $lesson->written?->id);
    }
}
