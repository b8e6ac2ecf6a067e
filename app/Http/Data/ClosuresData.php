<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Calendar\ClosedDays;
use Gorvan\Core\Calendar\ClosuresReader;
use Gorvan\Core\Reading\Message;

/** Closures read out of a calendar file. */
final readonly class ClosuresData
{
    /**
     * @param  list<NamedClosure>  $closures
     * @param  list<Message>  $warnings
     */
    public function __construct(
        public array $closures,
        public array $warnings,
    ) {
    }

    public static function of(ClosuresReader $read): self
    {
        return new self(array_map(static fn (ClosedDays $days): NamedClosure => new NamedClosure($days->from, $days->to, $days->title), $read->days), $read->warnings);
    }
}
