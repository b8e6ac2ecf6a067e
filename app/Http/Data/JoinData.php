<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\CutPin;

/** The join after a position. */
final readonly class JoinData
{
    public function __construct(
        public int $after,
        public float $rest,
        public ?CutPin $pin,
    ) {
    }
}
