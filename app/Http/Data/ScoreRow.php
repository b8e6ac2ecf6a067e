<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;
use stdClass;

/** One entry as the editor has it: its cells, and the whole of it as the form file has it. */
#[OA\Schema]
final readonly class ScoreRow
{
    /** @param  array<string, string>  $cells */
    public function __construct(
        #[OA\Property]
        public string $key,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public array $cells,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public stdClass $entry,
    ) {
    }
}
