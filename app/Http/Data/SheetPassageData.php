<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Practice\SheetEntry;
use Gorvan\Core\Practice\SheetPassage;

/** A passage to practise, with what it changes by the next class. */
final readonly class SheetPassageData
{
    /** @param  list<SheetEntryData>  $entries */
    public function __construct(
        public string $courseId,
        public string $form,
        public int $from,
        public int $to,
        public float $minutes,
        public float $recallWith,
        public float $recallWithout,
        public bool $leadsOn,
        public array $entries,
    ) {
    }

    public static function of(SheetPassage $one, Form $form): self
    {
        return new self($one->course, $form->title, $one->passage->from, $one->passage->to, $one->minutes, $one->recallWith, $one->recallWithout, $one->leadsOn, array_map(static fn (SheetEntry $entry): SheetEntryData => SheetEntryData::of($entry, $form), $one->entries));
    }
}
