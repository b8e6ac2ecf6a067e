<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Form\Variant;
use OpenApi\Attributes as OA;

/** Another way of doing an entry. */
#[OA\Schema]
final readonly class LessonVariantData
{
    /** @param  list<CautionData>  $cautions  of this way alone */
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $reason,
        #[OA\Property]
        public ?string $text,
        #[OA\Property]
        public bool $isShownOnly,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CautionData::class))]
        public array $cautions,
    ) {
    }

    public static function of(Variant $variant): self
    {
        return new self($variant->title, $variant->reason?->value, $variant->text, $variant->isShownOnly, array_map(static fn (Caution $one): CautionData => new CautionData($one->for->value, $one->do->value, $one->text), $variant->cautions));
    }
}
