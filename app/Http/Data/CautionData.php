<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\Consideration;

/** Who does something otherwise, or leaves it out. */
final readonly class CautionData
{
    public function __construct(
        public Consideration $for,
        public Adaptation $do,
        public ?string $text,
    ) {
    }
}
