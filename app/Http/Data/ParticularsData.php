<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What one student does otherwise than a sheet for all says. */
final readonly class ParticularsData
{
    /** @param  list<ParticularData>  $entries */
    public function __construct(
        public string $studentId,
        public string $name,
        public array $entries,
    ) {
    }
}
