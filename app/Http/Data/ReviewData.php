<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Term\PlannedReview;
use OpenApi\Attributes as OA;

/** A known passage to go through again, and the numbers that put it there. */
#[OA\Schema]
final readonly class ReviewData
{
    public function __construct(
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
        #[OA\Property]
        public int $passes,
        #[OA\Property]
        public float $minutes,
        #[OA\Property]
        public ?float $meanRecall,
        #[OA\Property]
        public ?float $without,
        #[OA\Property]
        public ?float $with,
        #[OA\Property]
        public ?float $weight,
        #[OA\Property]
        public ?float $value,
        #[OA\Property]
        public ?string $most,
        #[OA\Property]
        public ?ReviewInstead $instead,
        #[OA\Property]
        public bool $isPinned,
        #[OA\Property]
        public bool $isFirstNext,
        #[OA\Property(description: 'by itself, closed by its rest')]
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
