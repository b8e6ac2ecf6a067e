<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Cue\CueFading;
use Gorvan\Core\Cue\EntryCues;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Practice\SheetEntry;
use OpenApi\Attributes as OA;

/** An entry on a sheet for home: cues, the side that needs it more, and what this student does otherwise; never why. */
#[OA\Schema]
final readonly class SheetEntryData
{
    /**
     * @param  list<string>  $cues  with `{L}` and `{R}` for the student's own sides
     * @param  list<string>  $do  adaptations, the strictest first
     * @param  list<string>  $notIn  titles of ways of doing it that are left out
     * @param  bool  $asks  to be asked about before it is done at home
     */
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public ?int $number,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $side,
        #[OA\Property]
        public ?string $weaker,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $cues,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $do,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $notIn,
        #[OA\Property]
        public bool $asks,
    ) {
    }

    public static function of(SheetEntry $one, Form $form): self
    {
        $entry = $form->at($one->position);

        return new self($one->position, $entry->number, $entry->title, $entry->side?->value, $one->weaker?->value, CueFading::All->of(EntryCues::of($form, $one->position)), array_map(static fn (Adaptation $do): string => $do->value, $one->care->do), $one->care->notIn, $one->care->asks);
    }
}
