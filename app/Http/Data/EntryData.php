<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\EntryLoad;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;
use Gorvan\Core\Form\LoadPart;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Form\TitleAlias;
use OpenApi\Attributes as OA;

/** One entry of a form with its load as its parts. */
#[OA\Schema]
final readonly class EntryData
{
    /**
     * @param  list<string>  $aliases
     * @param  list<LoadPartData>  $parts
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $key,
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public ?int $number,
        #[OA\Property]
        public string $title,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $aliases,
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public ?string $side,
        #[OA\Property(description: 'Whether it is done on both sides, so that a mark may name one')]
        public bool $hasSides,
        #[OA\Property]
        public ?string $repetition,
        #[OA\Property]
        public ?int $returns,
        #[OA\Property]
        public ?int $mirrors,
        #[OA\Property]
        public float $demand,
        #[OA\Property]
        public float $newness,
        #[OA\Property]
        public float $join,
        #[OA\Property]
        public float $load,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LoadPartData::class))]
        public array $parts,
        #[OA\Property]
        public ?float $seconds,
        #[OA\Property]
        public bool $isTimeAssumed,
    ) {
    }

    public static function of(Form $form, EntryLoad $load, string $id): self
    {
        $entry = $form->at($load->position);
        $time = new RunTime($form);

        return new self(
            id: $id,
            key: $entry->id,
            position: $load->position,
            number: $entry->number,
            title: $entry->title,
            aliases: array_map(static fn (TitleAlias $alias): string => $alias->text, $entry->aliases),
            kind: $entry->kind->value,
            side: $entry->side?->value,
            hasSides: $entry->isDoneOnBothSides(),
            repetition: $entry->repetition?->stated,
            returns: LoadModel::returnsEarlier($form, $load->position) ? $form->positionOf((string) $entry->returns) : null,
            mirrors: LoadModel::mirrorsEarlier($form, $load->position) ? $form->positionOf((string) $entry->mirrors) : null,
            demand: $load->demand,
            newness: $load->newness,
            join: $load->join,
            load: $load->load,
            parts: array_map(static fn (LoadPart $part): LoadPartData => new LoadPartData($part->reason->value, $part->amount), $load->parts),
            seconds: $time->secondsOf($load->position),
            isTimeAssumed: $time->isAssumed($load->position),
        );
    }
}
