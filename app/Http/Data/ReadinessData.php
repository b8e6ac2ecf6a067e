<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\Readiness;

/** How many of a group are ready for the next lesson, to be looked at, or not ready. */
final readonly class ReadinessData
{
    public function __construct(
        public int $ready,
        public int $look,
        public int $notYet,
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
