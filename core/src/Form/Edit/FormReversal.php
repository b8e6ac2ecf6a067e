<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Change\FieldChange;
use Gorvan\Core\Form\Change\FormDifference;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;

/** A change taken back out of a form that has gone on since, as far as nobody changed the same again. */
final class FormReversal
{
    /**
     * The ids of what the change touched and was touched again since, `form` for the form as a whole or its order.
     *
     * @return list<string> empty when it can be taken back
     */
    public static function clashes(Form $before, Form $after, Form $now): array
    {
        $change = FormDifference::between($before, $after);
        $since = FormDifference::between($after, $now);

        return [
            ...array_values(array_intersect($change->touched(), $since->touched())),
            ...(array_intersect(self::fields($change), self::fields($since)) !== [] || ($change->isStructural() && $since->isStructural()) ? ['form'] : []),
        ];
    }

    /**
     * The form as it now is, without the change from one state to the next. What clashes must be asked first.
     *
     * @throws \Gorvan\Core\Reading\BadInput
     */
    public static function of(Form $before, Form $after, Form $now): Form
    {
        $change = FormDifference::between($before, $after);
        $entry = static fn (Form $form, string $id): ?Entry => ($at = $form->positionOf($id)) === null ? null : $form->at($at);
        if ($change->isStructural()) {
            // The order is the earlier one; what else changed since stands in it as it now is.
            $entries = array_map(static fn (Entry $was): Entry => isset($change->changed[$was->id]) ? $was : $entry($now, $was->id) ?? $was, $before->entries);
            $sections = $before->sections;
        } else {
            $entries = array_map(static fn (Entry $is): Entry => isset($change->changed[$is->id]) ? $entry($before, $is->id) ?? $is : $is, $now->entries);
            $sections = in_array('sections', self::fields($change), true) ? $before->sections : $now->sections;
        }
        $fields = [];
        foreach ($change->form as $field) {
            $fields[$field->field] = $field->before;
        }
        unset($fields['sections']);

        return ($fields === [] ? $now : (new SetForm($fields))->apply($now))->with(['entries' => $entries, 'sections' => $sections]);
    }

    /** @return list<string> */
    private static function fields(FormDifference $difference): array
    {
        return array_map(static fn (FieldChange $change): string => $change->field, $difference->form);
    }
}
