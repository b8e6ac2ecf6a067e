<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Floor\Footing;
use Gorvan\Core\Form\Form;

/** `turn`: the turns of a form that closes facing as it opened add up to a multiple of 360 degrees. */
final class TurnRule implements FindingRule
{
    public function findings(Form $form): array
    {
        $sum = 0.0;
        $unknown = 0;
        foreach ($form->entries as $entry) {
            $sum += $entry->turn ?? 0.0;
            $unknown += $entry->turn === null && $entry->kind->countsInForm() ? 1 : 0;
        }
        // The shortest turn that would close the circle, clockwise positive.
        $short = Footing::shorterWay(-$sum);
        if (abs($short) < 1e-9) {
            return [];
        }
        $last = $form->at($form->count());
        $mended = self::signed($short);
        $way = $short < 0 ? 'right' : 'left';

        return [new Finding(
            FindingCode::Turn,
            null,
            $unknown === 0 ? Severity::Error : Severity::Doubt,
            'The turns add up to '.self::signed($sum).'°: the closing faces '.self::plain(abs($short))."° to the $way of the opening."
                .($unknown === 0 ? '' : ($unknown === 1 ? ' One entry does' : " $unknown entries do").' not say a turn.'),
            Mend::entry("turn $mended at the end would close the circle", $last->id, ['turn' => ($last->turn ?? 0.0) + $short]),
            measure: self::plain($sum),
        )];
    }

    private static function signed(float $degrees): string
    {
        return ($degrees < 0 ? '−' : '').self::plain(abs($degrees));
    }

    private static function plain(float $degrees): string
    {
        return (string) round($degrees, 3);
    }
}
