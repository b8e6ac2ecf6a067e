<?php

declare(strict_types=1);

namespace App\Home\Requests;

use App\Shared\Sent\Each;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use DateTimeImmutable;

/** What somebody practised at home. */
final readonly class NotedPractice implements Sent
{
    /** @param  list<string>  $entries */
    public function __construct(
        #[Rules('date_format:Y-m-d')]
        public string $on,
        public DateTimeImmutable $at,
        #[Rules('min:1', 'max:240')]
        public ?int $minutes,
        public ?bool $fromMemory,
        #[Rules('max:600')]
        #[Each('uuid')]
        public array $entries,
    ) {
    }
}
