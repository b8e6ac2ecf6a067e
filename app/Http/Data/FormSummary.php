<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A form in the list of forms. */
final readonly class FormSummary
{
    /**
     * @param  list<string>  $groups
     */
    public function __construct(
        public string $id,
        public string $title,
        public int $entries,
        public int $lessons,
        public float $load,
        public array $groups,
    ) {
    }
}
