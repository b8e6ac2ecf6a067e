<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\Message;

/** `weight`: a foot cannot step while it carries more than 10 per cent (*practice*: an empty foot carries 5 to 10). */
final readonly class WeightRule implements FindingRule
{
    public function __construct(public float $emptyAtMost = 10.0)
    {
    }

    public function findings(Form $form): array
    {
        $findings = [];
        $before = null;
        foreach ($form->entries as $at => $entry) {
            if (! $entry->kind->countsInForm()) {
                continue;
            }
            $found = $before === null ? null : $this->between($before, $entry, $at + 1, $form);
            if ($found !== null) {
                $findings[] = $found;
            }
            $before = $entry;
        }

        return $findings;
    }

    private function between(Entry $before, Entry $entry, int $position, Form $form): ?Finding
    {
        $weight = $before->weightAtEnd();
        $foot = $entry->firstStep?->foot();
        if ($weight === null || $foot === null || $weight->leastOn($foot) <= $this->emptyAtMost) {
            return null;
        }
        $other = $foot->mirrored();
        $isRange = $weight->leastOn($foot) !== $weight->mostOn($foot);
        $mend = $weight->mostOn($other) <= $this->emptyAtMost
            ? Mend::entry(Message::of('mend.step', foot: Message::of("side.$other->value")), $entry->id, ['first_step' => $other->value])
            : Mend::entry(Message::of('mend.empty', foot: Message::of("side.$foot->value")), $before->id, ['weight_end' => $foot === Side::Left ? 10.0 : 90.0]);

        return new Finding(
            FindingCode::Weight,
            $position,
            Severity::Error,
            Message::of(
                $isRange ? 'finding.weight.loaded_at_least' : 'finding.weight.loaded',
                position: $position,
                title: $entry->title,
                foot: Message::of("side.$foot->value"),
                carries: self::percent($weight->leastOn($foot)),
                before: $before->title,
                most: self::percent($this->emptyAtMost),
            ),
            $mend,
            [(int) $form->positionOf($before->id), $position],
        );
    }

    private static function percent(float $value): float
    {
        return round($value, 1);
    }
}
