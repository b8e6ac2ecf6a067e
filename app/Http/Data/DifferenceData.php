<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Change\FormDifference;
use Gorvan\Core\Form\Form;

/** What is different between two states of a form. */
final readonly class DifferenceData
{
    /**
     * @param  list<ChangedEntryData>  $added
     * @param  list<ChangedEntryData>  $gone
     * @param  list<ChangedEntryData>  $moved
     * @param  list<ChangedEntryData>  $changed
     * @param  list<FieldChangeData>  $form
     */
    public function __construct(
        public array $added,
        public array $gone,
        public array $moved,
        public array $changed,
        public array $form,
        public int $kept,
    ) {
    }

    public static function between(Form $before, Form $after): self
    {
        $difference = FormDifference::between($before, $after);
        $named = static function (Form $form, string $id, array $fields = []): ChangedEntryData {
            $position = (int) $form->positionOf($id);

            return new ChangedEntryData($id, $position, $form->at($position)->title, array_values(array_map(FieldChangeData::of(...), $fields)));
        };

        return new self(
            array_map(static fn (string $id): ChangedEntryData => $named($after, $id), $difference->added),
            array_map(static fn (string $id): ChangedEntryData => $named($before, $id), $difference->gone),
            array_map(static fn (string $id): ChangedEntryData => $named($after, $id), $difference->moved),
            array_map(static fn (string|int $id): ChangedEntryData => $named($after, (string) $id, $difference->changed[$id]), array_keys($difference->changed)),
            array_map(FieldChangeData::of(...), $difference->form),
            $after->count() - count($difference->added),
        );
    }
}
