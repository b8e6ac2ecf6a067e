<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Passage;
use OpenApi\Attributes as OA;

/** A run of entries, by position. */
#[OA\Schema]
final readonly class PassageData
{
    public function __construct(
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
    ) {
    }

    public static function of(?Passage $passage): ?self
    {
        return $passage === null ? null : new self($passage->from, $passage->to);
    }
}
