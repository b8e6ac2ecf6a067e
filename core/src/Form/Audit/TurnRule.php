<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Track\FloorTrack;
use Gorvan\Core\Form\Track\Footing;
use Gorvan\Core\Reading\Message;

/** `turn`: the turns of a form that closes facing as it opened add up to a multiple of 360 degrees. */
final class TurnRule implements FindingRule
{
    public function findings(Form $form): array
    {
        $counted = array_filter($form->entries, static fn (Entry $entry): bool => $entry->kind->countsInForm());
        $unknown = count(array_filter($counted, static fn (Entry $entry): bool => $entry->turn === null));
        $sum = FloorTrack::of($form)->closing()->facing;
        // The shortest turn that would close the circle, clockwise positive.
        $short = Footing::shorterWay(-$sum);
        if (abs($short) < 1e-9 || $counted === []) {
            return [];
        }
        $last = $counted[array_key_last($counted)];
        // Where most turns are not said, the last is not the one that is wrong.
        $isMostlySaid = 2 * $unknown < count($counted);

        return [new Finding(
            FindingCode::Turn,
            null,
            $unknown === 0 ? Severity::Error : Severity::Doubt,
            Message::of($unknown === 0 ? 'finding.turn.open' : 'finding.turn.open_perhaps', sum: self::signed($sum), off: self::plain(abs($short)), way: Message::of($short < 0 ? 'side.right' : 'side.left'), count: $unknown),
            ! $isMostlySaid ? null : Mend::entry(Message::of('mend.turn', turn: self::signed($short)), $last->id, ['turn' => ($last->turn ?? 0.0) + $short]),
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
