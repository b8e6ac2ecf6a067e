<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Form\Variant;
use Gorvan\Core\Form\VariantReason;

/** Another way of doing an entry. */
final readonly class LessonVariantData
{
    /** @param  list<CautionData>  $cautions  of this way alone */
    public function __construct(
        public string $title,
        public ?VariantReason $reason,
        public ?string $text,
        public bool $isShownOnly,
        public array $cautions,
    ) {
    }

    public static function of(Variant $variant): self
    {
        return new self($variant->title, $variant->reason, $variant->text, $variant->isShownOnly, array_map(static fn (Caution $one): CautionData => new CautionData($one->for, $one->do, $one->text), $variant->cautions));
    }
}
