<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\File;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Form\Acceptance;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryField;
use Gorvan\Core\Form\Footfall;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\NumberingScheme;
use Gorvan\Core\Form\PostureState;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Gone;
use Gorvan\Core\Reading\JsonLines;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\Missing;
use Gorvan\Core\Reading\NotAllowed;
use Gorvan\Core\Reading\OutOfRange;
use Gorvan\Core\Reading\Repeated;
use Gorvan\Core\Reading\SeveralProblems;
use Gorvan\Core\Reading\TooMany;
use Gorvan\Core\Reading\Unreadable;
use stdClass;

/**
 * Reads `gorvan.form/1` (docs/formats/form.schema.json). Unknown keys are kept and named in the warnings; a wrong
 * type, or a value out of range, is an error that names the JSON path.
 */
final class FormFileReader
{
    public const FORMAT = 'gorvan.form/1';

    public const MAX_BYTES = 2_097_152;

    private const FORM_KEYS = ['format', 'title', 'about', 'family', 'announced', 'schemes', 'breath_seconds', 'showing_pace', 'footfall',
        'sections', 'accepted', 'lessons', 'entries'];

    private const SECTION_KEYS = ['title', 'first', 'last'];

    /** Line breaks and indentation may take this many times the room of what they set out, and no more. */
    private const MOST_AIR = 4;

    /** No number and no letter grows more than this when it is written as this application writes it. */
    private const MOST_GROWTH = 8;

    /** @throws BadInput */
    public function read(string $json): ReadForm
    {
        if (strlen($json) > self::MAX_BYTES * self::MOST_AIR) {
            throw Unreadable::tooLarge(self::MAX_BYTES);
        }
        $root = JsonNode::parse($json);
        try {
            $read = $this->readNode($root);
        } catch (BadInput $e) {
            throw $e->withLines(JsonLines::ofItems($json, 'entries'));
        }
        // The form's own text is counted, however it was set out, so that what could be read can be written and read again.
        if (strlen($json) > self::MAX_BYTES / self::MOST_GROWTH && strlen((new FormFileWriter)->compact($read->form)) > self::MAX_BYTES) {
            throw Unreadable::tooLarge(self::MAX_BYTES);
        }

        return $read;
    }

    /** @throws BadInput */
    public function readNode(JsonNode $root): ReadForm
    {
        $format = $root->required('format');
        if ($format->text() !== self::FORMAT) {
            throw NotAllowed::format($format->path, self::FORMAT);
        }
        $list = $root->required('entries')->items();
        if (count($list) > Form::MAX_ENTRIES) {
            throw TooMany::entries(Form::MAX_ENTRIES, count($list));
        }
        $warnings = $root->unknown(self::FORM_KEYS, self::FORMAT);
        foreach (['sections' => self::SECTION_KEYS, 'schemes' => NumberingScheme::KEYS, 'accepted' => Acceptance::KEYS] as $key => $keys) {
            foreach ($root->optional($key)?->items() ?? [] as $node) {
                array_push($warnings, ...$node->unknown($keys, self::FORMAT));
            }
        }
        $entries = $this->entries($list);
        foreach ($entries as $at => $entry) {
            array_push($warnings, ...self::unknownIn($list[$at]));
            if ($entry->repetition !== null && ! $entry->repetition->isUnderstood()) {
                $warnings[] = Message::of('reading.no_count', path: "{$list[$at]->path}.repetition", text: $entry->repetition->stated);
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
            lessons: self::lessons($root->optional('lessons'), array_map(static fn (Entry $entry): string => $entry->id, $entries)),
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
            throw SeveralProblems::all($wrong);
        }

        return $entries;
    }

    /**
     * @param  list<string>  $ids  of the entries
     * @return list<list<string>>
     */
    private static function lessons(?JsonNode $node, array $ids): array
    {
        $isThere = array_fill_keys($ids, true);
        $lessons = $seen = [];
        foreach ($node?->itemsAtMost(Form::MAX_ENTRIES) ?? [] as $lesson) {
            $own = [];
            foreach ($lesson->itemsAtMost(Form::MAX_ENTRIES) as $one) {
                $id = $one->text();
                if (! isset($isThere[$id])) {
                    throw Gone::named($one->path, $id);
                }
                if (isset($seen[$id])) {
                    throw Repeated::inList($one->path, $id);
                }
                $seen[$id] = true;
                $own[] = $id;
            }
            $lessons[] = $own === [] ? throw Missing::text($lesson->path) : $own;
        }

        return $lessons;
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
        $fields = [];
        foreach (EntryField::saidOf($node) as $field) {
            $fields[$field->property] = $field->read($node);
        }

        // What is not said is what an entry has of itself: null, or an empty list.
        return new Entry(...[...$fields, 'others' => $node->others(array_keys(EntryField::all()))]); // @phpstan-ignore argument.type
    }

    private static function positive(?JsonNode $node, float $most): ?float
    {
        $value = $node?->number(0, $most);
        if ($node !== null && $value === 0.0) {
            throw OutOfRange::notPositive($node->path);
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

    /** @return list<Message> */
    private static function unknownIn(JsonNode $entry): array
    {
        $warnings = $entry->unknown(array_keys(EntryField::all()), self::FORMAT);
        foreach (EntryField::saidOf($entry) as $field) {
            $node = $field->keys === [] ? null : $entry->optional($field->name);
            foreach ($node === null ? [] : ($node->value instanceof stdClass ? [$node] : $node->items()) as $part) {
                array_push($warnings, ...$part->unknown($field->keys, self::FORMAT));
                foreach (['states' => PostureState::KEYS, 'cautions' => Caution::KEYS] as $inner => $innerKeys) {
                    foreach (in_array($inner, $field->keys, true) ? $part->optional($inner)?->items() ?? [] : [] as $one) {
                        array_push($warnings, ...$one->unknown($innerKeys, self::FORMAT));
                    }
                }
            }
        }

        return $warnings;
    }

    /** @return list<Message> */
    private static function doubtfulReferences(Form $form): array
    {
        $warnings = [];
        foreach ($form->entries as $at => $entry) {
            foreach (['returns' => $entry->returns, 'mirrors' => $entry->mirrors] as $key => $id) {
                $to = $id === null ? null : $form->positionOf($id);
                if ($id !== null && ($to === null || $to > $at)) {
                    $warnings[] = Message::of('reading.no_earlier_entry', path: "\$.entries[$at].$key", id: $id);
                }
            }
            if ($entry->returns !== null && $entry->mirrors !== null) {
                $warnings[] = Message::of('reading.returns_and_mirrors', path: "\$.entries[$at]");
            }
        }

        return $warnings;
    }
}
