<?php

declare(strict_types=1);

namespace App\Http\Data;

/** One class in the class book. */
final readonly class BookRow
{
    /**
     * @param  list<BookDoing>  $did
     * @param  list<string>  $guests  names
     * @param  list<string>  $firstNext  what the entries are called
     */
    public function __construct(
        public string $logId,
        public string $meetingId,
        public string $on,
        public string $madeAt,
        public ?float $minutes,
        public int $present,
        public array $did,
        public array $guests,
        public array $firstNext,
        public ?string $note,
        public bool $isCorrected,
    ) {
    }
}
