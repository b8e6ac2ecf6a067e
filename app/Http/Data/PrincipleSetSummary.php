<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A set of principles in the list of sets. */
final readonly class PrincipleSetSummary
{
    /**
     * @param  list<string>  $families
     * @param  list<string>  $groups  names of those that work with it
     */
    public function __construct(
        public string $id,
        public string $title,
        public ?string $about,
        public int $principles,
        public array $families,
        public array $groups,
    ) {
    }
}
