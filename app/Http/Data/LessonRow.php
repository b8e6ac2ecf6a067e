<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\LessonInCut;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Lesson\Content\TeachingKind;

/** A lesson in a list. */
final readonly class LessonRow
{
    /**
     * @param  int|null  $number  in the cut; null for one that is written and has no place in it any more
     * @param  string|null  $written  id of what is written for it
     */
    public function __construct(
        public ?int $number,
        public ?PassageData $passage,
        public ?float $load,
        public TeachingKind $kind,
        public ?string $title,
        public ?string $written,
    ) {
    }

    public static function of(LessonInCut $lesson, Form $form): self
    {
        return new self($lesson->number, PassageData::of($form->passageOf($lesson->entries)), $lesson->load, $lesson->written->kind ?? TeachingKind::Fresh, $lesson->written?->title, $lesson->written?->id);
    }
}
