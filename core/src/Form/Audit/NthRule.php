<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Difference;
use Gorvan\Core\Form\DifferenceOf;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;

/** `nth`: one repetition or side is said to differ, and nobody says how. */
final class NthRule implements FindingRule
{
    public function findings(Form $form): array
    {
        $findings = [];
        foreach ($form->entries as $at => $entry) {
            foreach (self::unsaid($entry) as $which) {
                $findings[] = new Finding(FindingCode::Nth, $at + 1, Severity::Gap, 'Entry '.($at + 1).", \"$entry->title\", says that $which differs and not how.");
            }
        }

        return $findings;
    }

    /** @return list<string> */
    private static function unsaid(Entry $entry): array
    {
        $named = $entry->repetition?->differing;
        $said = array_filter($entry->differs, static fn (Difference $one): bool => $one->of === DifferenceOf::Repetitions && $one->nth === $named);
        $unsaid = $named === null || $said !== [] ? [] : ['repetition '.$named];
        foreach ($entry->differs as $one) {
            if ($one->how === null) {
                $unsaid[] = ($one->of === DifferenceOf::Sides ? 'side ' : 'repetition ').$one->nth;
            }
        }

        return $unsaid;
    }
}
