<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Track\Footing;

/** Where one stands: to the right and forward, in steps from the start or in metres of a room; facing in degrees clockwise. */
final readonly class FootingData
{
    public function __construct(
        public float $x,
        public float $y,
        public float $facing,
    ) {
    }

    public static function of(Footing $footing): self
    {
        return new self($footing->x, $footing->y, $footing->facing);
    }
}
