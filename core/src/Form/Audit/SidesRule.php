<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/**
 * `sides`: both sides of a movement are practised roughly equally (*practice*), over all its places in the form.
 *
 * What is never done on one side has one cause, however many movements it is: it is told once a side.
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
        $never = ['left' => [], 'right' => []]; // positions by root
        foreach (Identities::groups($form) as $root => $positions) {
            [$left, $right] = self::times($form, $positions);
            $isDeclared = array_filter($positions, static fn (int $position): bool => $form->at($position)->isOneSided === true) !== [];
            if ($isDeclared || $this->areEqual($left, $right)) {
                continue;
            }
            if ($left === 0.0 || $right === 0.0) {
                $never[$left === 0.0 ? 'left' : 'right'][$root] = $positions;
            }
            $findings[$root] = new Finding(
                FindingCode::Sides,
                $root,
                Severity::Doubt,
                Message::of('finding.sides.unequal', title: $form->at($root)->title, left: self::often($left), right: self::often($right)),
                self::byTradition($form, [$root]),
                $positions,
            );
        }
        foreach ($never as $side => $groups) {
            if (count($groups) > 1) {
                $roots = array_keys($groups);
                $findings = array_diff_key($findings, $groups);
                $findings[$roots[0]] = new Finding(
                    FindingCode::Sides,
                    $roots[0],
                    Severity::Doubt,
                    Message::of('finding.sides.never', count: count($roots), side: Message::of("side.$side"), title: $form->at($roots[0])->title),
                    self::byTradition($form, $roots),
                    array_merge(...array_values($groups)),
                );
            }
        }
        ksort($findings);

        return array_values($findings);
    }

    /** @param  non-empty-list<int>  $roots  positions of the first occurrence of each movement */
    private static function byTradition(Form $form, array $roots): Mend
    {
        return new Mend(Message::of('mend.one_sided'), array_map(static fn (int $root): array => ['op' => 'set', 'id' => $form->at($root)->id, 'fields' => ['one_sided' => true]], $roots));
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
