<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Record\DoingKind;
use Gorvan\Core\Record\RunOrder;

/** One thing a class did, as the class book says it. */
final readonly class BookDoing
{
    /**
     * @param  list<BookStretch>  $stretches  what was touched; none where it names no entry
     * @param  list<string>  $principles  titles of those that were the focus
     * @param  RunOrder|null  $order  of a run-through, where it was not as it is written
     */
    public function __construct(
        public DoingKind $what,
        public ?string $formTitle,
        public array $stretches,
        public ?RunOrder $order,
        public ?float $minutes,
        public ?string $box,
        public ?string $note,
        public array $principles,
    ) {
    }
}
