<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\KeepingStanding;
use OpenApi\Attributes as OA;

/** How a student stands in a principle. */
#[OA\Schema]
final readonly class KeepingData
{
    public function __construct(
        #[OA\Property]
        public string $principle,
        #[OA\Property]
        public ?string $keeping,
        #[OA\Property]
        public ?float $recall,
        #[OA\Property(enum: ['good', 'fading', 'weak'], nullable: true)]
        public ?string $sureness,
        #[OA\Property]
        public bool $holds,
        #[OA\Property]
        public bool $isAssumed,
    ) {
    }

    public static function of(string $principle, KeepingStanding $one): self
    {
        return new self($principle, $one->keeping?->name, $one->recall, $one->sureness()?->value, $one->holds(), $one->isAssumed());
    }
}
