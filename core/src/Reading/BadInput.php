<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

use DomainException;

/**
 * Something handed in cannot be used: says where it stands and what is wrong.
 *
 * The place is a JSON path (`$.entries[3].side`), a line (`line 12`) or empty when the whole input is meant.
 */
final class BadInput extends DomainException
{
    private function __construct(public readonly string $place, public readonly string $reason)
    {
        parent::__construct($place === '' ? $reason : "$place: $reason");
    }

    public static function at(string $place, string $reason): self
    {
        return new self($place, $reason);
    }

    public static function atLine(int $line, string $reason): self
    {
        return new self((string) $line, $reason);
    }

    public static function whole(string $reason): self
    {
        return new self('', $reason);
    }
}
