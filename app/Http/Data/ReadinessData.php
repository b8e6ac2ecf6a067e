<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\Readiness;
use OpenApi\Attributes as OA;

/** How many of a group are ready for the next lesson, to be looked at, or not ready. */
#[OA\Schema]
final readonly class ReadinessData
{
    public function __construct(
        #[OA\Property]
        public int $ready,
        #[OA\Property]
        public int $look,
        #[OA\Property]
        public int $notYet,
        #[OA\Property]
        public int $of,
    ) {
    }

    /** @param  list<Readiness|null>  $all  of each student; null where there is nothing to be ready for */
    public static function of(array $all): self
    {
        $count = static fn (Readiness $one): int => count(array_keys($all, $one, true));

        return new self($count(Readiness::Ready), $count(Readiness::Look), $count(Readiness::NotYet), count($all));
    }
}
