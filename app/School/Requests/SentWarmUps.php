<?php

declare(strict_types=1);

namespace App\School\Requests;

use App\Shared\Description\AsData;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Reading\JsonNode;

/** The warm-ups of a school. */
final readonly class SentWarmUps implements Sent
{
    /** @param  int  $version  that was seen */
    public function __construct(
        #[Rules('min:0', 'max:1000000')]
        public int $version,
        #[AsData(WarmUpList::class)]
        public JsonNode $list,
    ) {
    }
}
