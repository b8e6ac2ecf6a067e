<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/**
 * `count`: what is announced against what is listed; numbers missing, repeated or out of order.
 *
 * One finding a cause: the longest row of numbers that rise is taken to be right ({@see RisingNumbers}), so that one slip of the
 * pen among many is one finding, however large the number it made. What is missing is named as it is.
 */
final class CountRule implements FindingRule
{
    public function findings(Form $form): array
    {
        $movements = [];
        foreach ($form->entries as $at => $entry) {
            if ($entry->isCounted()) {
                $movements[$at + 1] = $entry->number;
            }
        }
        $findings = $this->announced($form, count($movements));
        if (array_filter($movements, is_int(...)) === []) {
            return $findings;
        }
        $rising = RisingNumbers::of($movements);
        array_push($findings, ...$this->unnumbered($form, $movements, $rising), ...$this->strays($form, $movements, $rising), ...$this->missing($form, $movements, $rising));
        usort($findings, static fn (Finding $a, Finding $b): int => ($a->position ?? 0) <=> ($b->position ?? 0));

        return $findings;
    }

    /** @return list<Finding> */
    private function announced(Form $form, int $listed): array
    {
        if ($form->announced === null || $form->announced === $listed) {
            return [];
        }

        return [new Finding(
            FindingCode::Count,
            null,
            Severity::Error,
            Message::of('finding.count.announced', announced: $form->announced, listed: $listed),
            Mend::form(Message::of('mend.announce', number: $listed), ['announced' => $listed]),
            measure: "$form->announced/$listed",
        )];
    }

    /**
     * One that has no number may have an obvious one; several have one cause, and are numbered together.
     *
     * @param  array<int, int|null>  $movements  published number by position
     * @return list<Finding>
     */
    private function unnumbered(Form $form, array $movements, RisingNumbers $rising): array
    {
        $bare = array_keys($movements, null, true);
        if ($bare === []) {
            return [];
        }
        $entry = $form->at($bare[0]);
        $fits = count($bare) === 1 ? $rising->only($bare[0]) : null;
        $with = ['count' => count($bare), 'position' => $bare[0], 'title' => $entry->title, 'positions' => $bare];
        $mend = match (true) {
            $fits !== null => Mend::entry(Message::of('mend.number', number: $fits), $entry->id, ['number' => $fits]),
            count($bare) > 1 => self::renumber($movements),
            default => null,
        };

        return [new Finding(FindingCode::Count, $bare[0], Severity::Error, Message::of('finding.count.unnumbered', ...$with), $mend, $bare)];
    }

    /**
     * Numbers that do not rise with the others: one alone, or a run that goes on by itself, as where a section is numbered anew.
     *
     * @param  array<int, int|null>  $movements
     * @return list<Finding>
     */
    private function strays(Form $form, array $movements, RisingNumbers $rising): array
    {
        $findings = [];
        foreach ($rising->strays() as $run) {
            $findings[] = count($run) === 1 ? $this->stray($form, $movements, $run[0], $rising) : new Finding(
                FindingCode::Count,
                $run[0],
                Severity::Error,
                Message::of('finding.count.anew', position: $run[0], to: $run[count($run) - 1], first: (int) $movements[$run[0]], last: (int) $movements[$run[count($run) - 1]], title: $form->at($run[0])->title),
                self::renumber($movements),
                $run,
            );
        }

        return $findings;
    }

    /** @param  array<int, int|null>  $movements */
    private function stray(Form $form, array $movements, int $position, RisingNumbers $rising): Finding
    {
        $number = (int) $movements[$position];
        $entry = $form->at($position);
        $others = array_values(array_diff(array_keys($movements, $number, true), [$position]));
        $before = $rising->before($position);
        $with = ['position' => $position, 'title' => $entry->title, 'number' => $number];
        $says = match (true) {
            $others !== [] => Message::of('finding.count.repeated', ...$with, other: $form->at($others[0])->title),
            $before !== null && $number < $before => Message::of('finding.count.order', ...$with, before: $before),
            default => Message::of('finding.count.ahead', ...$with, after: (int) $rising->after($position)),
        };
        $fits = $rising->isMisplaced($position) ? null : $rising->only($position);

        return new Finding(FindingCode::Count, $position, Severity::Error, $says, $fits === null ? null : Mend::entry(Message::of('mend.number', number: $fits), $entry->id, ['number' => $fits]), [...array_slice($others, 0, 1), $position]);
    }

    /**
     * What is missing between two numbers that are right: not what stands elsewhere, nor what an entry without a number, or with
     * a wrong one, must have.
     *
     * @param  array<int, int|null>  $movements
     * @return list<Finding>
     */
    private function missing(Form $form, array $movements, RisingNumbers $rising): array
    {
        $findings = [];
        foreach ($rising->gaps() as $position => [$absent, $between]) {
            $absent = array_values(array_diff($absent, array_filter($movements, is_int(...))));
            $open = count(array_filter(array_keys($movements), static fn (int $at): bool => $at > $between && $at < $position && ! $rising->isMisplaced($at)));
            if (count($absent) > $open) {
                $findings[] = new Finding(FindingCode::Count, $position, Severity::Error, Message::of('finding.count.missing', position: $position, title: $form->at($position)->title, count: count($absent), numbers: $absent));
            }
        }

        return $findings;
    }

    /**
     * All of them in order, from where the first that is numbered says they begin.
     *
     * @param  array<int, int|null>  $movements
     */
    private static function renumber(array $movements): Mend
    {
        $numbers = array_values($movements);
        $first = 0;
        while (! isset($numbers[$first])) {
            $first++;
        }
        $from = max(0, (int) $numbers[$first] - $first);
        // A form that begins with a stray number begins at 1, as most do.
        $from = $from > 1 ? 1 : $from;

        return new Mend(Message::of('mend.renumber', from: $from), [['op' => 'renumber', 'from' => $from]]);
    }
}
