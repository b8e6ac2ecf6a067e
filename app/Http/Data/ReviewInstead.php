<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;

/** The best passage that was left out of a review, and what it would have been worth. */
final readonly class ReviewInstead
{
    public function __construct(
        public int $from,
        public int $to,
        public float $value,
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
