<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\WarmUp;
use OpenApi\Attributes as OA;

/** One thing a meeting warms up with. */
#[OA\Schema]
final readonly class TonightWarmUp
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public float $minutes,
        #[OA\Property]
        public ?string $note,
    ) {
    }

    public static function of(WarmUp $one): self
    {
        return new self($one->id, $one->title, $one->minutes, $one->note);
    }
}
