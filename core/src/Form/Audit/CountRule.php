<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/** `count`: what is announced against what is listed; numbers missing, repeated or out of order. */
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

        return [...$this->announced($form, count($movements)), ...$this->numbers($form, $movements)];
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
     * @param  array<int, int|null>  $movements  published number by position
     * @return list<Finding>
     */
    private function numbers(Form $form, array $movements): array
    {
        if (array_filter($movements, is_int(...)) === []) {
            return [];
        }
        $findings = $seen = [];
        $before = null; // the highest number so far
        $positions = array_keys($movements);
        foreach ($positions as $place => $position) {
            $number = $movements[$position];
            $next = $movements[$positions[$place + 1] ?? 0] ?? null;
            if ($number === null) {
                $fits = $before !== null && $next === $before + 2 ? $before + 1 : null;
                $findings[] = $this->at($form, $position, 'unnumbered', $fits);
                $before = $fits ?? $before;

                continue;
            }
            if (isset($seen[$number])) {
                $fits = $before !== null && $next === $before + 2 ? $before + 1 : null;
                $findings[] = $this->at($form, $position, 'repeated', $fits, [$seen[$number], $position], ['number' => $number, 'other' => $form->at($seen[$number])->title]);
                $before = $fits ?? $before; // one fault: the number that is missing is this one's
            } elseif ($before !== null && $number < $before) {
                $findings[] = $this->at($form, $position, 'order', with: ['number' => $number, 'before' => $before]);
            } elseif ($number !== ($before ?? 0) + 1 && ! ($before === null && $number === 0)) {
                $findings[] = $this->missing($form, $position, ($before ?? 0) + 1, $number - 1, $movements);
            }
            $seen[$number] ??= $position;
            $before = max($before ?? 0, $number);
        }

        return array_values(array_filter($findings));
    }

    /**
     * @param  list<int>  $about
     * @param  array<string, int|string>  $with
     */
    private function at(Form $form, int $position, string $code, ?int $fits = null, array $about = [], array $with = []): Finding
    {
        $entry = $form->at($position);

        return new Finding(
            FindingCode::Count,
            $position,
            Severity::Error,
            Message::of("finding.count.$code", ...['position' => $position, 'title' => $entry->title, ...$with]),
            $fits === null ? null : Mend::entry(Message::of('mend.number', number: $fits), $entry->id, ['number' => $fits]),
            $about,
        );
    }

    /** @param  array<int, int|null>  $movements */
    private function missing(Form $form, int $position, int $from, int $to, array $movements): ?Finding
    {
        $absent = array_values(array_diff(range($from, $to), array_filter($movements, is_int(...))));
        if ($absent === []) {
            return null;
        }

        return new Finding(FindingCode::Count, $position, Severity::Error, Message::of('finding.count.missing', position: $position, title: $form->at($position)->title, count: count($absent), from: $absent[0], to: $absent[count($absent) - 1]));
    }
}
