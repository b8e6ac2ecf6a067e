<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** One thing a class did, as the class book says it. */
#[OA\Schema]
final readonly class BookDoing
{
    /**
     * @param  string|null  $first  what the first entry is called, and `last` the last; null where it names none
     * @param  list<string>  $principles  titles of those that were the focus
     */
    public function __construct(
        #[OA\Property]
        public string $what,
        #[OA\Property]
        public ?string $formTitle,
        #[OA\Property]
        public ?string $first,
        #[OA\Property]
        public ?string $last,
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
