<?php

declare(strict_types=1);

namespace App\Http\Data;

use stdClass;

/** One entry as the editor has it: its cells, and the whole of it as the form file has it. */
final readonly class ScoreRow
{
    /** @param  array<string, string>  $cells */
    public function __construct(
        public string $key,
        public array $cells,
        public stdClass $entry,
    ) {
    }
}
