<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\RepetitionKind;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Reading\Message;

/** `silent`: what is missing for timing, floor track or load, one line a field and not an entry. */
final class SilentRule implements FindingRule
{
    public function findings(Form $form): array
    {
        $lasting = [RepetitionKind::Timed, RepetitionKind::Breaths, RepetitionKind::UntilTold];
        $fields = [
            ['side', 'load', static fn (Entry $entry): bool => $entry->side === null && $entry->kind === EntryKind::Movement],
            ['breaths', 'time', static fn (Entry $entry): bool => $entry->breaths === null && ! in_array($entry->repetition?->kind, $lasting, true)],
            ['steps', 'load', static fn (Entry $entry): bool => $entry->steps === null],
            ['turn', 'load_and_floor', static fn (Entry $entry): bool => $entry->turn === null],
            ['travel', 'floor', static fn (Entry $entry): bool => $entry->travel === null],
        ];
        $entries = array_filter($form->entries, static fn (Entry $entry): bool => $entry->kind->countsInForm());
        $findings = [];
        foreach ($fields as [$field, $for, $isMissing]) {
            $count = count(array_filter($entries, $isMissing));
            if ($count > 0) {
                // Of breaths there is a default, so something is added, and what.
                [$code, $more] = $field === 'breaths' ? ['assumed', ['assumed' => RunTime::BREATHS]] : ['field', []];
                $findings[] = new Finding(FindingCode::Silent, null, Severity::Gap, Message::of("finding.silent.$code", ...[...$more, 'count' => $count, 'field' => Message::of("silent.$field"), 'for' => Message::of("silent.for_$for")]), measure: $field);
            }
        }

        return $findings;
    }
}
