<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use OpenApi\Attributes as OA;

/** The best passage that was left out of a review, and what it would have been worth. */
#[OA\Schema]
final readonly class ReviewInstead
{
    public function __construct(
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
        #[OA\Property]
        public float $value,
        #[OA\Property]
        public float $minutes,
    ) {
    }

    public static function of(mixed $instead, Form $form): ?self
    {
        $instead = (array) $instead;
        $passage = $form->passageOf(array_filter((array) ($instead['entries'] ?? []), is_string(...)));

        return $passage === null ? null : new self($passage->from, $passage->to, (float) ($instead['value'] ?? 0), (float) ($instead['minutes'] ?? 0));
    }
}
