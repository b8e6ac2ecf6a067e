<?php

declare(strict_types=1);

namespace App\Http\Data;

/** The mailbox of this installation. */
final readonly class MailboxData
{
    /**
     * @param  bool  $isStandIn  whether mail stays here; else it leaves, and nothing is kept
     * @param  list<MailData>  $mails  the latest first
     * @param  bool  $isMore  whether there are older ones
     */
    public function __construct(
        public bool $isStandIn,
        public array $mails,
        public bool $isMore,
    ) {
    }
}
