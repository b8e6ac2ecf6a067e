<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A page of a group’s class book, the latest class first. */
#[OA\Schema]
final readonly class BookData
{
    /**
     * @param  list<BookRow>  $classes
     * @param  string|null  $before  where the next page goes on; null on the last one
     */
    public function __construct(
        #[OA\Property]
        public GroupSummary $group,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BookRow::class))]
        public array $classes,
        #[OA\Property]
        public ?string $before,
    ) {
    }
}
