<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Care\Strain;
use Gorvan\Core\Form\Internal\Fields;
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
        return (object) [
            'format' => FormFileReader::FORMAT,
            ...array_diff_key(get_object_vars($this->root($form)), $form->others),
            'entries' => array_map($this->entry(...), $form->entries),
            ...$form->others,
        ];
    }

    /** What is said of the form as a whole, as it stands in the file. */
    public function root(Form $form): stdClass
    {
        return Fields::written([
            ...$this->head($form),
            'sections' => array_map(
                static fn (Section $section): array => ['title' => $section->title, 'first' => $section->first, 'last' => $section->last, ...$section->others],
                $form->sections,
            ),
            'accepted' => array_map(static fn (Acceptance $acceptance): stdClass => $acceptance->toData(), $form->accepted),
        ], $form->others);
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
        $data = static fn (Written $part): stdClass => $part->toData();

        return Fields::written([
            'id' => $entry->id,
            'kind' => $entry->kind->value,
            'number' => $entry->number,
            'booklet' => $entry->booklet === null ? null : Fields::written(['number' => $entry->booklet->number, 'page' => $entry->booklet->page], $entry->booklet->others),
            'numbers' => array_map($data, $entry->numbers),
            'title' => $entry->title,
            'aliases' => array_map(
                static fn (TitleAlias $alias): stdClass => Fields::written(['text' => $alias->text, 'lang' => $alias->lang], $alias->others),
                $entry->aliases,
            ),
            'side' => $entry->side?->value,
            'start_side' => $entry->startSide?->value,
            'one_sided' => $entry->isOneSided,
            'repetition' => $entry->repetition?->stated,
            'repetition_inferred' => $entry->isRepetitionInferred,
            'differs' => array_map($data, $entry->differs),
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
            'same_in' => array_map($data, $entry->sameIn),
            'demand' => $entry->demand,
            'rest' => $entry->rest,
            'cut' => $entry->cut?->value,
            'phases' => array_map($data, $entry->phases),
            'states' => array_map($data, $entry->states),
            'variants' => array_map($data, $entry->variants),
            'strains' => array_map(static fn (Strain $strain): string => $strain->value, $entry->strains),
            'cautions' => array_map($data, $entry->cautions),
            'checks' => $entry->checks,
            'errors' => array_map($data, $entry->errors),
            'drills' => $entry->drills,
            'cues' => $entry->cues,
        ], $entry->others);
    }
}
