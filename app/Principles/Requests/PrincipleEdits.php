<?php

declare(strict_types=1);

namespace App\Principles\Requests;

use App\Shared\Description\AsData;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Principle\Edit\SetEditReader;
use Gorvan\Core\Reading\JsonNode;

/** Edits of a set. */
final readonly class PrincipleEdits implements Sent
{
    public function __construct(
        #[Rules('min:0', 'max:2147483647')]
        public int $base,
        #[AsData(SetEditReader::class, isList: true)]
        public JsonNode $edits,
        #[Rules('max:26')]
        public ?string $id = null,
    ) {
    }
}
