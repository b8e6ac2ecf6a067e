<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/**
 * `sides`: both sides of a movement are practised roughly equally (*practice*), over all its places in the form.
 *
 * Roughly is ours to say: both sides occur, and differ by at most one or by a quarter of the greater (*default*).
 */
final readonly class SidesRule implements FindingRule
{
    public function __construct(public float $share = 0.25)
    {
    }

    public function findings(Form $form): array
    {
        $findings = [];
        foreach (Identities::groups($form) as $root => $positions) {
            [$left, $right] = self::times($form, $positions);
            $isDeclared = array_filter($positions, static fn (int $position): bool => $form->at($position)->isOneSided === true) !== [];
            if ($isDeclared || $this->areEqual($left, $right)) {
                continue;
            }
            $entry = $form->at($root);
            $findings[] = new Finding(
                FindingCode::Sides,
                $root,
                Severity::Doubt,
                Message::of('finding.sides.unequal', title: $entry->title, left: self::often($left), right: self::often($right)),
                Mend::entry(Message::of('mend.one_sided'), $entry->id, ['one_sided' => true]),
                $positions,
            );
        }

        return $findings;
    }

    private function areEqual(float $left, float $right): bool
    {
        if ($left === 0.0 && $right === 0.0) {
            return true;
        }

        return min($left, $right) > 0.0 && abs($left - $right) <= max(1.0, $this->share * max($left, $right));
    }

    /**
     * @param  list<int>  $positions
     * @return array{float, float}
     */
    private static function times(Form $form, array $positions): array
    {
        $times = [0.0, 0.0];
        foreach ($positions as $position) {
            if ($form->at($position)->kind->countsInForm()) {
                [$left, $right] = $form->at($position)->timesBySide();
                $times = [$times[0] + $left, $times[1] + $right];
            }
        }

        return $times;
    }

    private static function often(float $times): Message
    {
        return match ($times) {
            0.0 => Message::of('often.never'),
            1.0 => Message::of('often.once'),
            2.0 => Message::of('often.twice'),
            default => Message::of('often.times', times: round($times, 1)),
        };
    }
}
