<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;

/**
 * Reads `gorvan.form/1` (docs/formats/form.schema.json). Unknown keys are kept and named in the warnings; a wrong
 * type, or a value out of range, is an error that names the JSON path.
 */
final class FormFileReader
{
    public const FORMAT = 'gorvan.form/1';

    public const MAX_BYTES = 1_048_576;

    private const KEPT = 'is not known to '.self::FORMAT.' and is kept as it is';

    private const FORM_KEYS = ['format', 'title', 'family', 'announced', 'breath_seconds', 'footfall', 'sections', 'entries'];

    private const SECTION_KEYS = ['title', 'first', 'last'];

    private const BOOKLET_KEYS = ['number', 'page'];

    private const ALIAS_KEYS = ['text', 'lang'];

    private const ENTRY_KEYS = ['id', 'kind', 'number', 'booklet', 'title', 'aliases', 'side', 'repetition', 'breaths',
        'first_step', 'steps', 'footfall', 'weight_end', 'turn', 'travel', 'stance', 'one_leg', 'returns', 'mirrors',
        'demand', 'rest', 'cut'];

    /** @throws BadInput */
    public function read(string $json): ReadForm
    {
        if (strlen($json) > self::MAX_BYTES) {
            throw BadInput::whole(sprintf('the file is larger than %d KB', self::MAX_BYTES / 1024));
        }

        return $this->readNode(JsonNode::parse($json));
    }

    /** @throws BadInput */
    public function readNode(JsonNode $root): ReadForm
    {
        $format = $root->required('format');
        if ($format->text() !== self::FORMAT) {
            throw $format->error('must be "'.self::FORMAT.'"');
        }
        $list = $root->required('entries')->items();
        if (count($list) > Form::MAX_ENTRIES) {
            throw BadInput::at('$.entries', 'a form has at most '.Form::MAX_ENTRIES.' entries, this one has '.count($list));
        }
        $warnings = $root->unknown(self::FORM_KEYS, self::KEPT);
        foreach ($root->optional('sections')?->items() ?? [] as $node) {
            array_push($warnings, ...$node->unknown(self::SECTION_KEYS, self::KEPT));
        }
        $entries = [];
        foreach ($list as $node) {
            $entry = $this->entry($node);
            array_push($warnings, ...self::unknownIn($node));
            if ($entry->repetition !== null && ! $entry->repetition->isUnderstood()) {
                $warnings[] = "$node->path.repetition: \"{$entry->repetition->stated}\" is kept as written but gives no count";
            }
            $entries[] = $entry;
        }
        $form = new Form(
            title: $root->required('title')->text(),
            entries: $entries,
            sections: self::sections($root->optional('sections')),
            family: $root->optional('family')?->text(),
            announced: $root->optional('announced')?->whole(0, 9999),
            breathSeconds: self::positive($root->optional('breath_seconds'), 120),
            footfall: $root->optional('footfall')?->oneOf(Footfall::class),
            others: $root->others(self::FORM_KEYS),
        );

        return new ReadForm($form, [], [...$warnings, ...self::doubtfulReferences($form)]);
    }

    /** Reads one entry as it stands in the file's `entries`. @throws BadInput */
    public function entry(JsonNode $node): Entry
    {
        $repetition = $node->optional('repetition')?->text();

        return new Entry(
            id: $node->required('id')->text(120),
            kind: $node->required('kind')->oneOf(EntryKind::class),
            title: $node->required('title')->text(),
            number: $node->optional('number')?->whole(0, 9999),
            booklet: self::booklet($node->optional('booklet')),
            aliases: self::aliases($node->optional('aliases')),
            side: $node->optional('side')?->oneOf(Side::class),
            repetition: $repetition === null ? null : Repetition::parse($repetition),
            breaths: $node->optional('breaths')?->number(0, 999),
            firstStep: $node->optional('first_step')?->oneOf(FirstStep::class),
            steps: $node->optional('steps')?->whole(0, 99),
            footfall: $node->optional('footfall')?->oneOf(Footfall::class),
            weightEnd: self::weight($node->optional('weight_end')),
            turn: $node->optional('turn')?->number(-3600, 3600),
            travel: self::pair($node->optional('travel'), -1000, 1000),
            stance: $node->optional('stance')?->text(),
            oneLeg: $node->optional('one_leg')?->bool(),
            returns: $node->optional('returns')?->text(120),
            mirrors: $node->optional('mirrors')?->text(120),
            demand: $node->optional('demand')?->number(0.25, 5),
            rest: $node->optional('rest')?->number(0, 1),
            cut: $node->optional('cut')?->oneOf(CutPin::class),
            others: $node->others(self::ENTRY_KEYS),
        );
    }

    private static function booklet(?JsonNode $node): ?Booklet
    {
        return $node === null ? null : new Booklet(
            $node->optional('number')?->text(40),
            $node->optional('page')?->whole(0, 9999),
            $node->others(self::BOOKLET_KEYS),
        );
    }

    /** @return list<TitleAlias> */
    private static function aliases(?JsonNode $node): array
    {
        $aliases = [];
        foreach ($node?->items() ?? [] as $item) {
            $aliases[] = new TitleAlias($item->required('text')->text(), $item->optional('lang')?->text(35), $item->others(self::ALIAS_KEYS));
        }

        return $aliases;
    }

    private static function weight(?JsonNode $node): ?WeightRange
    {
        if ($node === null) {
            return null;
        }
        if (! is_array($node->value)) {
            return WeightRange::exactly($node->number(0, 100));
        }
        [$from, $to] = self::pair($node, 0, 100) ?? [0.0, 0.0];
        if ($from > $to) {
            throw $node->error('must run from the smaller to the larger');
        }

        return WeightRange::between($from, $to);
    }

    /** @return array{float, float}|null */
    private static function pair(?JsonNode $node, float $least, float $most): ?array
    {
        if ($node === null) {
            return null;
        }
        $items = $node->items();
        if (count($items) !== 2) {
            throw $node->error('must be a list of two numbers');
        }

        return [$items[0]->number($least, $most), $items[1]->number($least, $most)];
    }

    private static function positive(?JsonNode $node, float $most): ?float
    {
        $value = $node?->number(0, $most);
        if ($node !== null && $value === 0.0) {
            throw $node->error('must be more than 0');
        }

        return $value;
    }

    /** @return list<Section> */
    private static function sections(?JsonNode $node): array
    {
        $sections = [];
        foreach ($node?->items() ?? [] as $item) {
            $sections[] = new Section(
                $item->required('title')->text(),
                $item->required('first')->whole(1, Form::MAX_ENTRIES),
                $item->required('last')->whole(1, Form::MAX_ENTRIES),
                $item->others(self::SECTION_KEYS),
            );
        }

        return $sections;
    }

    /** @return list<string> */
    private static function unknownIn(JsonNode $entry): array
    {
        $warnings = [...$entry->unknown(self::ENTRY_KEYS, self::KEPT), ...$entry->optional('booklet')?->unknown(self::BOOKLET_KEYS, self::KEPT) ?? []];
        foreach ($entry->optional('aliases')?->items() ?? [] as $alias) {
            array_push($warnings, ...$alias->unknown(self::ALIAS_KEYS, self::KEPT));
        }

        return $warnings;
    }

    /** @return list<string> */
    private static function doubtfulReferences(Form $form): array
    {
        $warnings = [];
        foreach ($form->entries as $at => $entry) {
            foreach (['returns' => $entry->returns, 'mirrors' => $entry->mirrors] as $key => $id) {
                $to = $id === null ? null : $form->positionOf($id);
                if ($id !== null && ($to === null || $to > $at)) {
                    $warnings[] = "\$.entries[$at].$key: \"$id\" is no earlier entry, so it makes nothing easier";
                }
            }
            if ($entry->returns !== null && $entry->mirrors !== null) {
                $warnings[] = "\$.entries[$at]: returns and mirrors are both said; returns is used";
            }
        }

        return $warnings;
    }
}
