<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\CareAdvice;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\CareNeed;
use OpenApi\Attributes as OA;

/** What a student does otherwise in one thing of a box; never why. */
#[OA\Schema]
final readonly class CareNeedData
{
    /**
     * @param  list<string>  $do  the strictest first
     * @param  list<CareVariantData>  $variants
     */
    public function __construct(
        #[OA\Property]
        public string $box,
        #[OA\Property]
        public ?string $courseId,
        #[OA\Property]
        public ?int $position,
        #[OA\Property]
        public ?string $warmUpId,
        #[OA\Property]
        public string $title,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $do,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CareVariantData::class))]
        public array $variants,
        #[OA\Property(description: 'it strains what the student spares, and nothing says what to do')]
        public bool $asks,
    ) {
    }

    /** @param  array<string, Form>  $forms  by course */
    public static function of(CareNeed $need, array $forms, WarmUpList $warmUps): self
    {
        $form = $need->course === null ? null : $forms[$need->course];
        $position = $form?->positionOf($need->id);
        $whole = array_filter($need->advice, static fn (CareAdvice $one): bool => $one->do !== null && $one->variant === null);
        $variants = array_filter($need->advice, static fn (CareAdvice $one): bool => $one->do !== null && $one->variant !== null);

        return new self(
            $need->box->value,
            $need->course,
            $position,
            $need->course === null ? $need->id : null,
            $form === null || $position === null ? $warmUps->named([$need->id])[0]->title ?? '' : $form->at($position)->title,
            array_values(array_unique(array_map(static fn (CareAdvice $one): string => $one->do->value ?? '', $whole))),
            array_values(array_map(static fn (CareAdvice $one): CareVariantData => new CareVariantData((string) $one->variant, $one->do->value ?? ''), $variants)),
            array_filter($need->advice, static fn (CareAdvice $one): bool => $one->do === null) !== [],
        );
    }
}
