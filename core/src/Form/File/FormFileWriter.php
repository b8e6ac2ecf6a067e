<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\File;

use Gorvan\Core\Form\Acceptance;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryField;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\NumberingScheme;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Reading\Fields;
use stdClass;

/** Writes `gorvan.form/1`; what is not known is left out, what this version does not know is written as it came. */
final class FormFileWriter
{
    private const FLAGS = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    /** Set out in lines where that still can be read again; a very large form comes in one line. */
    public function write(Form $form): string
    {
        $text = json_encode($this->data($form), self::FLAGS | JSON_PRETTY_PRINT)."\n";

        return strlen($text) > FormFileReader::MAX_BYTES ? $this->compact($form) : $text;
    }

    /** The same in one line. */
    public function compact(Form $form): string
    {
        return json_encode($this->data($form), self::FLAGS)."\n";
    }

    private function data(Form $form): stdClass
    {
        return Fields::beside([
            'format' => FormFileReader::FORMAT,
            ...array_diff_key(get_object_vars($this->root($form)), $form->others),
            ...($form->lessons === [] ? [] : ['lessons' => $this->lessons($form)]),
            'entries' => array_map($this->entry(...), $form->entries),
        ], $form->others);
    }

    /** What is said of the form as a whole, as it stands in the file; its lessons are said beside it. */
    public function root(Form $form): stdClass
    {
        return Fields::written([
            ...$this->head($form),
            'sections' => array_map(
                static fn (Section $section): stdClass => Fields::beside(['title' => $section->title, 'first' => $section->first, 'last' => $section->last], $section->others),
                $form->sections,
            ),
            'accepted' => array_map(static fn (Acceptance $acceptance): stdClass => $acceptance->toData(), $form->accepted),
        ], $form->others);
    }

    /**
     * The lessons that are its own; what is no longer in the form is in none of them.
     *
     * @return list<list<string>>
     */
    public function lessons(Form $form): array
    {
        return array_values(array_filter(array_map(
            static fn (array $ids): array => array_values(array_filter($ids, static fn (string $id): bool => $form->positionOf($id) !== null)),
            $form->lessons,
        )));
    }

    /** @return array<string, mixed> null where nothing is known */
    private function head(Form $form): array
    {
        return [
            'title' => $form->title,
            'about' => $form->about,
            'family' => $form->family,
            'announced' => $form->announced,
            'schemes' => array_map(static fn (NumberingScheme $scheme): stdClass => $scheme->toData(), $form->schemes),
            'breath_seconds' => $form->breathSeconds,
            'showing_pace' => $form->showingPace,
            'footfall' => $form->footfall?->value,
        ];
    }

    /** One entry as it stands in the file's `entries`. */
    public function entry(Entry $entry): stdClass
    {
        return Fields::written(array_map(static fn (EntryField $field): mixed => $field->written($entry), EntryField::all()), $entry->others);
    }
}
