<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A student at home: the link they have, what they practised and what they asked. */
final readonly class StudentHomeData
{
    public function __construct(
        public ?LinkData $link,
        public HomeNotesData $notes,
    ) {
    }
}
