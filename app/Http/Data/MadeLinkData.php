<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\GivenLink;
use OpenApi\Attributes as OA;

/** A link that was made just now: its address is told this once. */
#[OA\Schema]
final readonly class MadeLinkData
{
    /**
     * @param  string|null  $address  null where it went by mail
     * @param  string|null  $mailedTo  where it went by mail
     * @param  bool  $isUnsent  whether it was to go by mail and did not
     */
    public function __construct(
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public ?string $address,
        #[OA\Property]
        public ?string $mailedTo,
        #[OA\Property]
        public bool $isUnsent,
        #[OA\Property]
        public string $expiresAt,
    ) {
    }

    public static function of(GivenLink $given): self
    {
        return new self($given->student->id, $given->student->name, $given->address, $given->mailedTo, $given->isUnsent, $given->link->expires_at->toRfc3339String());
    }
}
