<?php

declare(strict_types=1);

namespace App\Actions;

use Gorvan\Core\Form\FieldChange;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\FormDifference;

/** What changed of a form, in sentences that people read in its list of versions. */
final class Told
{
    private const MOST = 6;

    /** @return list<string> */
    public static function of(FormDifference $difference, Form $before, Form $after): array
    {
        $sentences = [
            ...self::entries('Added', $difference->added, $after),
            ...self::entries('Taken out', $difference->gone, $before),
            ...self::entries('Moved', $difference->moved, $after),
        ];
        foreach ($difference->changed as $id => $changes) {
            $position = $after->positionOf((string) $id);
            if ($position !== null) {
                $sentences[] = "\"{$after->at($position)->title}\": ".implode('; ', array_map(self::change(...), $changes)).'.';
            }
        }
        foreach ($difference->form as $change) {
            $sentences[] = 'The form: '.self::change($change).'.';
        }
        $more = count($sentences) - self::MOST;

        return $more > 1 ? [...array_slice($sentences, 0, self::MOST), "And $more more changes."] : $sentences;
    }

    /**
     * @param  list<string>  $ids
     * @return list<string>
     */
    private static function entries(string $what, array $ids, Form $form): array
    {
        $titles = array_map(static fn (string $id): string => '"'.($form->positionOf($id) === null ? $id : $form->at($form->positionOf($id))->title).'"', array_slice($ids, 0, 4));
        $more = count($ids) - count($titles);

        return $ids === [] ? [] : ["$what: ".implode(', ', $titles).($more > 0 ? " and $more more" : '').'.'];
    }

    private static function change(FieldChange $change): string
    {
        $words = static fn (mixed $value): string => mb_strimwidth(FieldChange::words($value), 0, 60, '…');

        return str_replace('_', ' ', $change->field).' '.$words($change->before).' → '.$words($change->after);
    }
}
