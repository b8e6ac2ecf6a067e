<?php

declare(strict_types=1);

namespace App\Actions;

use Gorvan\Core\Reading\Message;
use RuntimeException;

/** Something asked for cannot be done; says what, where, and what to do. */
final class Refused extends RuntimeException
{
    private function __construct(public readonly int $status, public readonly Message $reason, public readonly string $place)
    {
        parent::__construct($reason->code.' '.json_encode($reason->with));
    }

    /** What was sent does not fit what is there. */
    public static function because(Message $reason, string $place = ''): self
    {
        return new self(422, $reason, $place);
    }

    /** What was sent contradicts what is recorded. */
    public static function conflict(Message $reason, string $place = ''): self
    {
        return new self(409, $reason, $place);
    }

    /** Whoever asks may not do it. */
    public static function forbidden(Message $reason, string $place = ''): self
    {
        return new self(403, $reason, $place);
    }
}
