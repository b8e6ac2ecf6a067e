<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** The mailbox of this installation. */
#[OA\Schema]
final readonly class MailboxData
{
    /**
     * @param  bool  $isStandIn  whether mail stays here; else it leaves, and nothing is kept
     * @param  list<MailData>  $mails  the latest first
     * @param  bool  $isMore  whether there are older ones
     */
    public function __construct(
        #[OA\Property]
        public bool $isStandIn,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MailData::class))]
        public array $mails,
        #[OA\Property]
        public bool $isMore,
    ) {
    }
}
