<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Description\AsData;
use App\Shared\Sent\Sent;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Term\Change\TermChangeReader;

/** Changes that are tried. */
final readonly class TriedChanges implements Sent
{
    public function __construct(
        #[AsData(TermChangeReader::class, isList: true)]
        public JsonNode $changes,
    ) {
    }
}
