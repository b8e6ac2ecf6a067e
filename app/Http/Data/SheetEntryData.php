<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Cue\CueFading;
use Gorvan\Core\Cue\EntryCues;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Practice\SheetEntry;

/** An entry on a sheet for home: cues, the side that needs it more, and what this student does otherwise; never why. */
final readonly class SheetEntryData
{
    /**
     * @param  list<string>  $cues  with `{L}` and `{R}` for the student's own sides
     * @param  list<Adaptation>  $do  adaptations, the strictest first
     * @param  list<string>  $notIn  titles of ways of doing it that are left out
     * @param  bool  $asks  to be asked about before it is done at home
     */
    public function __construct(
        public int $position,
        public ?int $number,
        public string $title,
        public ?Side $side,
        public ?Side $weaker,
        public array $cues,
        public array $do,
        public array $notIn,
        public bool $asks,
    ) {
    }

    public static function of(SheetEntry $one, Form $form): self
    {
        $entry = $form->at($one->position);

        return new self($one->position, $entry->number, $entry->title, $entry->side, $one->weaker, CueFading::All->of(EntryCues::of($form, $one->position)), $one->care->do, $one->care->notIn, $one->care->asks);
    }
}
