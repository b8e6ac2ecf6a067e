<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What a student who is here has to catch up with. */
final readonly class NeedsData
{
    /**
     * @param  list<CatchUpData>  $catchUp  what tonight touches, the most needed first
     * @param  int  $minutes  of all of it
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $catchUp,
        public int $minutes,
    ) {
    }
}
