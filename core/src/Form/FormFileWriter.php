<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use stdClass;

/** Writes `gorvan.form/1`; what is not known is left out, what this version does not know is written as it came. */
final class FormFileWriter
{
    public function write(Form $form): string
    {
        return json_encode(
            $this->data($form),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        )."\n";
    }

    private function data(Form $form): stdClass
    {
        return (object) [...self::known([
            'format' => FormFileReader::FORMAT,
            'title' => $form->title,
            'family' => $form->family,
            'announced' => $form->announced,
            'breath_seconds' => $form->breathSeconds,
            'footfall' => $form->footfall?->value,
            'sections' => $form->sections === [] ? null : array_map(
                static fn (Section $section): array => ['title' => $section->title, 'first' => $section->first, 'last' => $section->last, ...$section->others],
                $form->sections,
            ),
            'entries' => array_map($this->entry(...), $form->entries),
        ]), ...$form->others];
    }

    /** One entry as it stands in the file's `entries`. */
    public function entry(Entry $entry): stdClass
    {
        $aliases = array_map(
            static fn (TitleAlias $alias): array => [...self::known(['text' => $alias->text, 'lang' => $alias->lang]), ...$alias->others],
            $entry->aliases,
        );

        return (object) [...self::known([
            'id' => $entry->id,
            'kind' => $entry->kind->value,
            'number' => $entry->number,
            'booklet' => $entry->booklet === null ? null : (object) [...self::known([
                'number' => $entry->booklet->number,
                'page' => $entry->booklet->page,
            ]), ...$entry->booklet->others],
            'title' => $entry->title,
            'aliases' => $aliases === [] ? null : $aliases,
            'side' => $entry->side?->value,
            'repetition' => $entry->repetition?->stated,
            'breaths' => $entry->breaths,
            'first_step' => $entry->firstStep?->value,
            'steps' => $entry->steps,
            'footfall' => $entry->footfall?->value,
            'weight_end' => $entry->weightEnd?->toData(),
            'turn' => $entry->turn,
            'travel' => $entry->travel,
            'stance' => $entry->stance,
            'one_leg' => $entry->oneLeg,
            'returns' => $entry->returns,
            'mirrors' => $entry->mirrors,
            'demand' => $entry->demand,
            'rest' => $entry->rest,
            'cut' => $entry->cut?->value,
        ]), ...$entry->others];
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private static function known(array $fields): array
    {
        return array_filter($fields, static fn (mixed $value): bool => $value !== null);
    }
}
