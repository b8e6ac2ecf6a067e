<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Adaptation;

/** What a student does otherwise in one way of doing an entry. */
final readonly class CareVariantData
{
    public function __construct(
        public string $title,
        public Adaptation $do,
    ) {
    }
}
