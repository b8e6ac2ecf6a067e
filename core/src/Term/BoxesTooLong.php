<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use DomainException;
use Gorvan\Core\Reading\Message;

/** Boxes of fixed lengths do not fit into the meeting. */
final class BoxesTooLong extends DomainException
{
    private function __construct(public readonly Message $reason)
    {
        parent::__construct($reason->code);
    }

    public static function fixed(int $total, int $wanted): self
    {
        return new self(Message::of('boxes.too_long', minutes: $total, wanted: $wanted));
    }
}
