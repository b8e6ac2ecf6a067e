<?php

declare(strict_types=1);

namespace App\Actions;

use RuntimeException;

/** Something asked for cannot be done; says what, where, and what to do. */
final class Refused extends RuntimeException
{
    private function __construct(public readonly int $status, string $message, public readonly string $place)
    {
        parent::__construct($message);
    }

    /** What was sent does not fit what is there. */
    public static function because(string $message, string $place = ''): self
    {
        return new self(422, $message, $place);
    }

    /** What was sent contradicts what is recorded. */
    public static function conflict(string $message, string $place = ''): self
    {
        return new self(409, $message, $place);
    }
}
