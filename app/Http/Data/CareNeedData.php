<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\CareAdvice;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\CareNeed;

/** What a student does otherwise in one thing of a box; never why. */
final readonly class CareNeedData
{
    /**
     * @param  list<Adaptation>  $do  the strictest first
     * @param  list<CareVariantData>  $variants
     * @param  bool  $asks  it strains what the student spares, and nothing says what to do
     */
    public function __construct(
        public Box $box,
        public ?string $courseId,
        public ?int $position,
        public ?string $warmUpId,
        public string $title,
        public array $do,
        public array $variants,
        public bool $asks,
    ) {
    }

    /** @param  array<string, Form>  $forms  by course */
    public static function of(CareNeed $need, array $forms, WarmUpList $warmUps): self
    {
        $form = $need->course === null ? null : $forms[$need->course];
        $position = $form?->positionOf($need->id);
        $whole = $variants = [];
        foreach ($need->advice as $one) {
            if ($one->do !== null && $one->variant !== null) {
                $variants[] = new CareVariantData($one->variant, $one->do);
            } elseif ($one->do !== null) {
                $whole[$one->do->value] = $one->do;
            }
        }

        return new self(
            $need->box,
            $need->course,
            $position,
            $need->course === null ? $need->id : null,
            $form === null || $position === null ? $warmUps->named([$need->id])[0]->title ?? '' : $form->at($position)->title,
            array_values($whole),
            $variants,
            array_filter($need->advice, static fn (CareAdvice $one): bool => $one->do === null) !== [],
        );
    }
}
