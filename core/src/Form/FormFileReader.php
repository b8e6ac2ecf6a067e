<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Strain;
use Gorvan\Core\Form\Internal\Fields;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Internal\JsonLines;
use Gorvan\Core\Reading\JsonNode;

/**
 * Reads `gorvan.form/1` (docs/formats/form.schema.json). Unknown keys are kept and named in the warnings; a wrong
 * type, or a value out of range, is an error that names the JSON path.
 */
final class FormFileReader
{
    public const FORMAT = 'gorvan.form/1';

    public const MAX_BYTES = 2_097_152;

    private const KEPT = 'is not known to '.self::FORMAT.' and is kept as it is';

    private const FORM_KEYS = ['format', 'title', 'about', 'family', 'announced', 'schemes', 'breath_seconds', 'showing_pace', 'footfall',
        'sections', 'accepted', 'entries'];

    private const SECTION_KEYS = ['title', 'first', 'last'];

    private const BOOKLET_KEYS = ['number', 'page'];

    private const ALIAS_KEYS = ['text', 'lang'];

    private const ENTRY_KEYS = ['id', 'kind', 'number', 'booklet', 'numbers', 'title', 'aliases', 'side', 'start_side', 'one_sided',
        'repetition', 'repetition_inferred', 'differs', 'breaths', 'first_step', 'steps', 'footfall', 'weight_end', 'turn', 'travel',
        'stance', 'one_leg', 'returns', 'mirrors', 'same_in', 'demand', 'rest', 'cut', 'phases', 'states', 'variants', 'strains',
        'cautions', 'checks', 'errors', 'drills', 'cues'];

    /** What stands inside an entry, and its own keys. */
    private const PARTS = ['aliases' => self::ALIAS_KEYS, 'numbers' => SchemeNumber::KEYS, 'differs' => Difference::KEYS,
        'same_in' => SameIn::KEYS, 'phases' => Phase::KEYS, 'states' => PostureState::KEYS, 'variants' => Variant::KEYS,
        'cautions' => Caution::KEYS, 'errors' => CommonError::KEYS];

    /** @throws BadInput */
    public function read(string $json): ReadForm
    {
        if (strlen($json) > self::MAX_BYTES) {
            throw BadInput::whole(sprintf('the file is larger than %d KB', self::MAX_BYTES / 1024));
        }

        $root = JsonNode::parse($json);
        try {
            return $this->readNode($root);
        } catch (BadInput $e) {
            throw $e->withLines(JsonLines::ofItems($json, 'entries'));
        }
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
        foreach (['sections' => self::SECTION_KEYS, 'schemes' => NumberingScheme::KEYS, 'accepted' => Acceptance::KEYS] as $key => $keys) {
            foreach ($root->optional($key)?->items() ?? [] as $node) {
                array_push($warnings, ...$node->unknown($keys, self::KEPT));
            }
        }
        $entries = $this->entries($list);
        foreach ($entries as $at => $entry) {
            array_push($warnings, ...self::unknownIn($list[$at]));
            if ($entry->repetition !== null && ! $entry->repetition->isUnderstood()) {
                $warnings[] = "{$list[$at]->path}.repetition: \"{$entry->repetition->stated}\" is kept as written but gives no count";
            }
        }
        $form = new Form(
            title: $root->required('title')->text(),
            entries: $entries,
            sections: self::sections($root->optional('sections')),
            family: $root->optional('family')?->text(),
            about: $root->optional('about')?->text(Fields::LONG),
            announced: $root->optional('announced')?->whole(0, 9999),
            breathSeconds: self::positive($root->optional('breath_seconds'), 120),
            footfall: $root->optional('footfall')?->oneOf(Footfall::class),
            showingPace: $root->optional('showing_pace')?->number(0.25, 4),
            schemes: Fields::each($root->optional('schemes'), NumberingScheme::read(...)),
            accepted: self::accepted($root->optional('accepted')),
            others: $root->others(self::FORM_KEYS),
        );

        return new ReadForm($form, [], [...$warnings, ...self::doubtfulReferences($form)]);
    }

    /**
     * Every entry, or everything that is wrong with them.
     *
     * @param  list<JsonNode>  $list
     * @return list<Entry>
     *
     * @throws BadInput
     */
    private function entries(array $list): array
    {
        $entries = $wrong = [];
        foreach ($list as $node) {
            try {
                $entries[] = $this->entry($node);
            } catch (BadInput $e) {
                $wrong[] = $e;
            }
        }
        if ($wrong !== []) {
            throw BadInput::all($wrong);
        }

        return $entries;
    }

    /** @return list<Acceptance> */
    private static function accepted(?JsonNode $node): array
    {
        // A form has as many findings as it has entries, and more.
        return array_map(Acceptance::read(...), $node?->items() ?? []);
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
            weightEnd: WeightRange::read($node->optional('weight_end')),
            turn: $node->optional('turn')?->number(-3600, 3600),
            travel: $node->optional('travel')?->pair(-1000, 1000),
            stance: $node->optional('stance')?->text(),
            oneLeg: $node->optional('one_leg')?->bool(),
            returns: $node->optional('returns')?->text(120),
            mirrors: $node->optional('mirrors')?->text(120),
            demand: $node->optional('demand')?->number(0.25, 5),
            rest: $node->optional('rest')?->number(0, 1),
            cut: $node->optional('cut')?->oneOf(CutPin::class),
            startSide: self::startSide($node->optional('start_side')),
            isRepetitionInferred: $node->optional('repetition_inferred')?->bool(),
            differs: Fields::each($node->optional('differs'), Difference::read(...)),
            isOneSided: $node->optional('one_sided')?->bool(),
            phases: Fields::each($node->optional('phases'), Phase::read(...)),
            states: Fields::each($node->optional('states'), PostureState::read(...)),
            variants: Fields::each($node->optional('variants'), Variant::read(...)),
            cautions: Fields::each($node->optional('cautions'), Caution::read(...)),
            strains: Fields::each($node->optional('strains'), static fn (JsonNode $item): Strain => $item->oneOf(Strain::class)),
            checks: Fields::texts($node->optional('checks')),
            errors: Fields::each($node->optional('errors'), CommonError::read(...)),
            drills: Fields::texts($node->optional('drills')),
            cues: Fields::texts($node->optional('cues')),
            sameIn: Fields::each($node->optional('same_in'), SameIn::read(...)),
            numbers: Fields::each($node->optional('numbers'), SchemeNumber::read(...)),
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

    private static function startSide(?JsonNode $node): ?Side
    {
        $side = $node?->oneOf(Side::class);
        if ($node !== null && $side !== Side::Left && $side !== Side::Right) {
            throw $node->error('must be left or right');
        }

        return $side;
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
        foreach (self::PARTS as $key => $keys) {
            foreach ($entry->optional($key)?->items() ?? [] as $part) {
                array_push($warnings, ...$part->unknown($keys, self::KEPT));
                foreach (['states' => PostureState::KEYS, 'cautions' => Caution::KEYS] as $inner => $innerKeys) {
                    foreach (in_array($inner, $keys, true) ? $part->optional($inner)?->items() ?? [] : [] as $node) {
                        array_push($warnings, ...$node->unknown($innerKeys, self::KEPT));
                    }
                }
            }
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
