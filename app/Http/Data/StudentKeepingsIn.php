<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What a student keeps of the principles of a group. */
final readonly class StudentKeepingsIn
{
    /**
     * @param  list<KeepingData>  $keepings
     */
    public function __construct(
        public string $group,
        public GroupPrinciplesData $principles,
        public array $keepings,
    ) {
    }
}
