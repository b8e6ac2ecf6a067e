<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Calendar\ClosedDays;
use Gorvan\Core\Calendar\ClosuresReader;
use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** Closures read out of a calendar file. */
#[OA\Schema]
final readonly class ClosuresData
{
    /**
     * @param  list<NamedClosure>  $closures
     * @param  list<Message>  $warnings
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedClosure::class))]
        public array $closures,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $warnings,
    ) {
    }

    public static function of(ClosuresReader $read): self
    {
        return new self(array_map(static fn (ClosedDays $days): NamedClosure => new NamedClosure($days->from, $days->to, $days->title), $read->days), $read->warnings);
    }
}
