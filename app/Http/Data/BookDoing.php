<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** One thing a class did, as the class book says it. */
#[OA\Schema]
final readonly class BookDoing
{
    /**
     * @param  list<BookStretch>  $stretches  what was touched; none where it names no entry
     * @param  list<string>  $principles  titles of those that were the focus
     */
    public function __construct(
        #[OA\Property]
        public string $what,
        #[OA\Property]
        public ?string $formTitle,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BookStretch::class))]
        public array $stretches,
        #[OA\Property(enum: ['from_section', 'shuffled', 'backwards'], description: 'of a run-through, where it was not as it is written')]
        public ?string $order,
        #[OA\Property]
        public ?float $minutes,
        #[OA\Property]
        public ?string $box,
        #[OA\Property]
        public ?string $note,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $principles,
    ) {
    }
}
