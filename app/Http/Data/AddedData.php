<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A group with the students just put into it, so that they can be taken out again. */
final readonly class AddedData
{
    /** @param  list<string>  $added  student ids */
    public function __construct(
        public GroupSummary $group,
        public array $added,
    ) {
    }
}
