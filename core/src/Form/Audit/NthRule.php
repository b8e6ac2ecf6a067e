<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Difference;
use Gorvan\Core\Form\DifferenceOf;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/** `nth`: one repetition or side is said to differ, and nobody says how. */
final class NthRule implements FindingRule
{
    public function findings(Form $form): array
    {
        $findings = [];
        foreach ($form->entries as $at => $entry) {
            foreach (self::unsaid($entry) as $which) {
                $findings[] = new Finding(FindingCode::Nth, $at + 1, Severity::Gap, Message::of('finding.nth.unsaid', position: $at + 1, title: $entry->title, which: $which));
            }
        }

        return $findings;
    }

    /** @return list<Message> */
    private static function unsaid(Entry $entry): array
    {
        $named = $entry->repetition?->differing;
        $said = array_filter($entry->differs, static fn (Difference $one): bool => $one->of === DifferenceOf::Repetitions && $one->nth === $named);
        $unsaid = $named === null || $said !== [] ? [] : [Message::of('nth.repetition', nth: $named)];
        foreach ($entry->differs as $one) {
            if ($one->how === null) {
                $unsaid[] = Message::of($one->of === DifferenceOf::Sides ? 'nth.side' : 'nth.repetition', nth: $one->nth);
            }
        }

        return $unsaid;
    }
}
