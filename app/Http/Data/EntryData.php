<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\EntryLoad;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;
use Gorvan\Core\Form\LoadPart;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Form\TitleAlias;

/** One entry of a form with its load as its parts. */
final readonly class EntryData
{
    /**
     * @param  list<string>  $aliases
     * @param  list<LoadPartData>  $parts
     * @param  bool  $hasSides  Whether it is done on both sides, so that a mark may name one
     */
    public function __construct(
        public string $id,
        public string $key,
        public int $position,
        public ?int $number,
        public string $title,
        public array $aliases,
        public EntryKind $kind,
        public ?Side $side,
        public bool $hasSides,
        public ?string $repetition,
        public ?int $returns,
        public ?int $mirrors,
        public float $demand,
        public float $newness,
        public float $join,
        public float $load,
        public array $parts,
        public ?float $seconds,
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
            kind: $entry->kind,
            side: $entry->side,
            hasSides: $entry->isDoneOnBothSides(),
            repetition: $entry->repetition?->stated,
            returns: LoadModel::returnsEarlier($form, $load->position) ? $form->positionOf((string) $entry->returns) : null,
            mirrors: LoadModel::mirrorsEarlier($form, $load->position) ? $form->positionOf((string) $entry->mirrors) : null,
            demand: $load->demand,
            newness: $load->newness,
            join: $load->join,
            load: $load->load,
            parts: array_map(static fn (LoadPart $part): LoadPartData => new LoadPartData($part->reason, $part->amount), $load->parts),
            seconds: $time->secondsOf($load->position),
            isTimeAssumed: $time->isAssumed($load->position),
        );
    }
}
