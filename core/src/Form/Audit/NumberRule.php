<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\SchemeNumber;
use Gorvan\Core\Reading\Message;

/**
 * `number`: the booklet's number disagrees with the published one, repeats, or is missing for a run of entries; a
 * number of another scheme repeats or is missing. `7a` agrees with 7, and is another number than `7b`.
 */
final class NumberRule implements FindingRule
{
    public function findings(Form $form): array
    {
        $findings = $this->series($form, Message::of('number.booklet'), static fn (Entry $entry): ?string => $entry->booklet?->number);
        foreach ($form->entries as $at => $entry) {
            $booklet = $entry->booklet?->number;
            $leading = $booklet !== null && preg_match('/^\d+/', $booklet, $m) === 1 ? (int) $m[0] : null;
            if ($leading !== null && $entry->number !== null && $leading !== $entry->number) {
                $findings[] = new Finding(
                    FindingCode::Number,
                    $at + 1,
                    Severity::Doubt,
                    Message::of('finding.number.disagrees', position: $at + 1, title: $entry->title, booklet: $booklet, number: $entry->number),
                    Mend::entry(Message::of('mend.booklet', number: $entry->number), $entry->id, ['booklet' => ['number' => (string) $entry->number] + array_filter(['page' => $entry->booklet->page]) + $entry->booklet->others]),
                );
            }
        }
        foreach ($form->schemes as $scheme) {
            array_push($findings, ...$this->series($form, Message::of('number.scheme', name: $scheme->name), static function (Entry $entry) use ($scheme): ?string {
                $found = array_filter($entry->numbers, static fn (SchemeNumber $number): bool => $number->scheme === $scheme->name);

                return (array_values($found)[0] ?? null)?->number;
            }));
        }
        usort($findings, static fn (Finding $a, Finding $b): int => $a->position <=> $b->position);

        return $findings;
    }

    /**
     * @param  callable(Entry): ?string  $number
     * @return list<Finding>
     */
    private function series(Form $form, Message $name, callable $number): array
    {
        $entries = [];
        foreach ($form->entries as $at => $entry) {
            if ($entry->kind->countsInForm()) {
                $entries[$at + 1] = $number($entry);
            }
        }
        if (array_filter($entries, is_string(...)) === []) {
            return [];
        }
        $findings = $seen = $run = [];
        foreach ($entries as $position => $said) {
            if ($said === null) {
                // An opening, a closing or a connector needs none; one that has one must not have another's.
                if ($form->at($position)->kind === EntryKind::Movement) {
                    $run[] = $position;
                }

                continue;
            }
            if ($run !== []) {
                $findings[] = $this->missing($form, $name, $run);
                $run = [];
            }
            if (isset($seen[$said])) {
                $findings[] = new Finding(FindingCode::Number, $position, Severity::Doubt, Message::of('finding.number.repeated', position: $position, title: $form->at($position)->title, name: $name, said: $said, other: $seen[$said]), about: [$seen[$said], $position]);
            }
            $seen[$said] ??= $position;
        }

        return $run === [] ? $findings : [...$findings, $this->missing($form, $name, $run)];
    }

    /** @param  non-empty-list<int>  $run */
    private function missing(Form $form, Message $name, array $run): Finding
    {
        $count = count($run);

        return new Finding(FindingCode::Number, $run[0], Severity::Gap, Message::of('finding.number.missing', count: $count, position: $run[0], title: $form->at($run[0])->title, to: $run[$count - 1], name: $name), about: $run);
    }
}
