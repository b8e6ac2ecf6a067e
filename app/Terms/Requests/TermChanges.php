<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Description\AsData;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Term\Change\TermChangeReader;

/** Changes to a term. */
final readonly class TermChanges implements Sent
{
    /** @param  int  $version  of the plan that was seen */
    public function __construct(
        #[Rules('min:0', 'max:2147483647')]
        public int $version,
        #[AsData(TermChangeReader::class, isList: true)]
        public JsonNode $changes,
    ) {
    }
}
