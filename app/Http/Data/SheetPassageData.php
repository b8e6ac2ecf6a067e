<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Practice\SheetEntry;
use Gorvan\Core\Practice\SheetPassage;
use OpenApi\Attributes as OA;

/** A passage to practise, with what it changes by the next class. */
#[OA\Schema]
final readonly class SheetPassageData
{
    /** @param  list<SheetEntryData>  $entries */
    public function __construct(
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public string $form,
        #[OA\Property]
        public int $from,
        #[OA\Property]
        public int $to,
        #[OA\Property]
        public float $minutes,
        #[OA\Property]
        public float $recallWith,
        #[OA\Property]
        public float $recallWithout,
        #[OA\Property]
        public bool $leadsOn,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SheetEntryData::class))]
        public array $entries,
    ) {
    }

    public static function of(SheetPassage $one, Form $form): self
    {
        return new self($one->course, $form->title, $one->passage->from, $one->passage->to, $one->minutes, $one->recallWith, $one->recallWithout, $one->leadsOn, array_map(static fn (SheetEntry $entry): SheetEntryData => SheetEntryData::of($entry, $form), $one->entries));
    }
}
