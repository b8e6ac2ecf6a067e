<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Lesson\CutPrices;
use Gorvan\Core\Lesson\NotchPrice;

/** What a notch costs at each join. */
final readonly class PricesData
{
    /** @param  list<NotchPriceData>  $prices */
    public function __construct(
        public float $best,
        public array $prices,
    ) {
    }

    public static function of(CutPrices $prices): self
    {
        return new self($prices->best, array_map(static fn (NotchPrice $one): NotchPriceData => new NotchPriceData($one->after, $one->price, $one->free), $prices->prices));
    }
}
