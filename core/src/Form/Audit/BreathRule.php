<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Breath;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Phase;
use Gorvan\Core\Reading\Message;

/**
 * `breath`: in and out alternate (*practice*), no phase between two breathed ones is left out, and the same movement
 * is breathed the same way wherever it stands.
 */
final class BreathRule implements FindingRule
{
    public function findings(Form $form): array
    {
        $findings = [];
        $roots = Identities::of($form);
        $known = []; // root => positions of the entries of the movement that have breaths
        $before = null; // the entry before, as far as it belongs to the form
        foreach ($form->entries as $at => $entry) {
            if (! $entry->kind->countsInForm()) {
                continue;
            }
            $position = $at + 1;
            array_push($findings, ...$this->within($entry, $position), ...$this->across($form, $before, $position));
            if (self::breaths($entry) !== []) {
                array_push($findings, ...$this->opposed($form, $known[$roots[$at]] ?? [], $position));
                $known[$roots[$at]][] = $position;
            }
            $before = $position;
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function within(Entry $entry, int $position): array
    {
        $findings = [];
        $last = null; // the last phase with a breath
        foreach ($entry->phases as $at => $phase) {
            if ($phase->breath === null) {
                continue;
            }
            $earlier = $last === null ? null : $entry->phases[$last]->breath;
            if ($last !== null && $at - $last > 1) {
                $findings[] = $this->missing($entry, $position, $last, $at);
            } elseif ($last !== null && $earlier === $phase->breath && $phase->breath->opposite() !== null) {
                $findings[] = new Finding(FindingCode::Breath, $position, Severity::Doubt, Message::of('finding.breath.alike', position: $position, title: $entry->title, breath: Message::of("breath.{$phase->breath->value}"), first: $last + 1, second: $at + 1));
            }
            $last = $at;
        }

        return $findings;
    }

    private function missing(Entry $entry, int $position, int $from, int $to): Finding
    {
        $fits = $to - $from === 2 && $entry->phases[$from]->breath === $entry->phases[$to]->breath ? $entry->phases[$from]->breath?->opposite() : null;
        $mend = null;
        if ($fits !== null) {
            $phases = array_map(static fn (Phase $phase): object => $phase->toData(), $entry->phases);
            $phases[$from + 1] = (object) array_replace(get_object_vars($phases[$from + 1]), ['breath' => $fits->value]);
            $mend = Mend::entry(Message::of('mend.breathe', breath: Message::of("breath.$fits->value"), phase: $from + 2), $entry->id, ['phases' => $phases]);
        }

        return new Finding(FindingCode::Breath, $position, Severity::Doubt, Message::of('finding.breath.missing', position: $position, title: $entry->title, count: $to - $from - 1, from: $from + 2, to: $to), $mend);
    }

    /** @return list<Finding> */
    private function across(Form $form, ?int $before, int $position): array
    {
        $earlier = $before === null ? [] : $form->at($before)->phases;
        $end = $earlier === [] ? null : $earlier[count($earlier) - 1]->breath;
        $start = ($form->at($position)->phases[0] ?? null)?->breath;
        if ($before === null || $end === null || $end !== $start || $end->opposite() === null) {
            return [];
        }

        return [new Finding(
            FindingCode::Breath,
            $position,
            Severity::Doubt,
            Message::of('finding.breath.across', position: $position, title: $form->at($position)->title, breath: Message::of("breath.$end->value"), before: $form->at($before)->title),
            about: [$before, $position],
        )];
    }

    /**
     * The first of its earlier places where it is breathed the other way.
     *
     * @param  list<int>  $known  positions
     * @return list<Finding>
     */
    private function opposed(Form $form, array $known, int $position): array
    {
        $here = self::breaths($form->at($position));
        foreach ($known as $other) {
            $there = self::breaths($form->at($other));
            foreach ($here as $phase => $breath) {
                if (isset($there[$phase]) && $there[$phase] === $breath->opposite()) {
                    return [new Finding(
                        FindingCode::Breath,
                        $position,
                        Severity::Doubt,
                        Message::of('finding.breath.opposed', position: $position, title: $form->at($position)->title, breath: Message::of("breath.$breath->value"), phase: $phase + 1, other: $other, there: Message::of("breath.{$there[$phase]->value}")),
                        about: [$other, $position],
                    )];
                }
            }
        }

        return [];
    }

    /** @return array<int, Breath> by the number of the phase, from 0 */
    private static function breaths(Entry $entry): array
    {
        return array_filter(array_map(static fn (Phase $phase): ?Breath => $phase->breath, $entry->phases));
    }
}
