<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\PlannedReview;

/** A known passage to go through again, and the numbers that put it there. */
final readonly class ReviewData
{
    /** @param  bool  $isPicked  by itself, closed by its rest */
    public function __construct(
        public int $from,
        public int $to,
        public int $passes,
        public float $minutes,
        public ?float $meanRecall,
        public ?float $without,
        public ?float $with,
        public ?float $weight,
        public ?float $value,
        public ?string $most,
        public ?ReviewInstead $instead,
        public bool $isPinned,
        public bool $isFirstNext,
        public bool $isPicked,
    ) {
    }

    /** What a plan says of a passage; null where its entries are no longer in the form. */
    public static function of(PlannedReview $item, Form $form): ?self
    {
        $passage = $form->passageOf($item->entries);
        $number = static fn (string $key): ?float => is_numeric($item->why[$key] ?? null) ? (float) $item->why[$key] : null;

        return $passage === null ? null : new self(
            $passage->from,
            $passage->to,
            $item->passes,
            $item->minutes,
            $number('recall'),
            $number('without'),
            $number('with'),
            $number('weight'),
            $number('value'),
            is_string($item->why['most'] ?? null) ? $item->why['most'] : null,
            ReviewInstead::of($item->why['instead'] ?? null, $form),
            ($item->why['pinned'] ?? false) === true,
            ($item->why['first_next'] ?? false) === true,
            ($item->why['picked'] ?? false) === true,
        );
    }
}
