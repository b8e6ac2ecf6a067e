<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

use DomainException;

/** A record contradicts itself. */
final class RecordFault extends DomainException
{
    private function __construct(public readonly string $factId, string $message)
    {
        parent::__construct($message);
    }

    public static function idReused(string $id): self
    {
        return new self($id, "the id \"$id\" stands twice with different content");
    }

    public static function unknownTarget(string $id, string $of): self
    {
        return new self($id, "\"$id\" withdraws \"$of\", which is not in the record");
    }

    public static function withdrawnInACircle(string $id): self
    {
        return new self($id, "\"$id\" is withdrawn in a circle, so it can be neither valid nor void");
    }
}
