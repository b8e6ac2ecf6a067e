<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** One class in the class book. */
#[OA\Schema]
final readonly class BookRow
{
    /**
     * @param  list<BookDoing>  $did
     * @param  list<string>  $guests  names
     * @param  list<string>  $firstNext  what the entries are called
     */
    public function __construct(
        #[OA\Property]
        public string $logId,
        #[OA\Property]
        public string $meetingId,
        #[OA\Property]
        public string $on,
        #[OA\Property]
        public string $madeAt,
        #[OA\Property]
        public ?float $minutes,
        #[OA\Property]
        public int $present,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BookDoing::class))]
        public array $did,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $guests,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $firstNext,
        #[OA\Property]
        public ?string $note,
        #[OA\Property]
        public bool $isCorrected,
    ) {
    }
}
