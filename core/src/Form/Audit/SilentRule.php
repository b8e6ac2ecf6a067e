<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\RepetitionKind;

/** `silent`: what is missing for timing, floor track or load, one line a field and not an entry. */
final class SilentRule implements FindingRule
{
    public function findings(Form $form): array
    {
        $lasting = [RepetitionKind::Timed, RepetitionKind::Breaths, RepetitionKind::UntilTold];
        $fields = [
            ['side', 'sides', 'load', static fn (Entry $entry): bool => $entry->side === null && $entry->kind === EntryKind::Movement],
            ['breaths', 'breaths', 'timing', static fn (Entry $entry): bool => $entry->breaths === null && ! in_array($entry->repetition?->kind, $lasting, true)],
            ['steps', 'steps', 'load', static fn (Entry $entry): bool => $entry->steps === null],
            ['turn', 'turn', 'load and floor track', static fn (Entry $entry): bool => $entry->turn === null],
            ['travel', 'travel', 'floor track', static fn (Entry $entry): bool => $entry->travel === null],
        ];
        $entries = array_filter($form->entries, static fn (Entry $entry): bool => $entry->kind->countsInForm());
        $findings = [];
        foreach ($fields as [$field, $words, $for, $isMissing]) {
            $count = count(array_filter($entries, $isMissing));
            if ($count > 0) {
                $findings[] = new Finding(FindingCode::Silent, null, Severity::Gap, ($count === 1 ? '1 entry does' : "$count entries do")." not say their $words, so nothing is added for it ($for).", measure: $field);
            }
        }

        return $findings;
    }
}
