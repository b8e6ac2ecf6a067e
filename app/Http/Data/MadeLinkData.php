<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\GivenLink;

/** A link that was made just now: its address is told this once. */
final readonly class MadeLinkData
{
    /**
     * @param  string|null  $address  null where it went by mail
     * @param  string|null  $mailedTo  where it went by mail
     * @param  bool  $isUnsent  whether it was to go by mail and did not
     */
    public function __construct(
        public string $studentId,
        public string $name,
        public ?string $address,
        public ?string $mailedTo,
        public bool $isUnsent,
        public string $expiresAt,
    ) {
    }

    public static function of(GivenLink $given): self
    {
        return new self($given->student->id, $given->student->name, $given->address, $given->mailedTo, $given->isUnsent, $given->link->expires_at->toRfc3339String());
    }
}
