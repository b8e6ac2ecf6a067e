<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A page of a group’s class book, the latest class first. */
final readonly class BookData
{
    /**
     * @param  list<BookRow>  $classes
     * @param  string|null  $before  where the next page goes on; null on the last one
     */
    public function __construct(
        public GroupSummary $group,
        public array $classes,
        public ?string $before,
    ) {
    }
}
