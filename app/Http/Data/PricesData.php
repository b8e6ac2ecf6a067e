<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Lesson\CutPrices;
use Gorvan\Core\Lesson\NotchPrice;
use OpenApi\Attributes as OA;

/** What a notch costs at each join. */
#[OA\Schema]
final readonly class PricesData
{
    /** @param  list<NotchPriceData>  $prices */
    public function __construct(
        #[OA\Property]
        public float $best,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NotchPriceData::class))]
        public array $prices,
    ) {
    }

    public static function of(CutPrices $prices): self
    {
        return new self($prices->best, array_map(static fn (NotchPrice $one): NotchPriceData => new NotchPriceData($one->after, $one->price, $one->free), $prices->prices));
    }
}
