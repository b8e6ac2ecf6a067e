<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Time;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\RepetitionKind;

/**
 * How long entries take at class pace (engine 14): breaths x seconds a breath x repetitions, or the timed hold.
 */
final readonly class RunTime
{
    /** Both *default*, used where the form says nothing, and to be shown as assumed. */
    public const BREATHS = 2.0;

    public const BREATH_SECONDS = 6.0;

    public function __construct(private Form $form)
    {
    }

    /** Seconds of one entry, or null when it lasts until told. An extra is no part of the form and takes none. */
    public function secondsOf(int $position): ?float
    {
        $entry = $this->form->at($position);
        $breath = $this->form->breathSeconds ?? self::BREATH_SECONDS;
        $repetition = $entry->repetition;

        return match (true) {
            ! $entry->kind->countsInForm() => 0.0,
            $repetition?->kind === RepetitionKind::UntilTold => null,
            $repetition?->kind === RepetitionKind::Timed => ($repetition->seconds ?? 0.0) * ($repetition->inAll() ?? 1),
            $repetition?->kind === RepetitionKind::Breaths => ($repetition->inAll() ?? 1) * $breath,
            default => ($entry->breaths ?? self::BREATHS) * $breath * ($repetition?->inAll() ?? 1),
        };
    }

    /** Seconds of a passage, both ends inside; an entry without a duration adds none. */
    public function secondsBetween(int $from, int $to): float
    {
        $seconds = 0.0;
        for ($position = $from; $position <= $to; $position++) {
            $seconds += $this->secondsOf($position) ?? 0.0;
        }

        return $seconds;
    }

    /** Whether the entry's breaths are our default and not stated. */
    public function isAssumed(int $position): bool
    {
        $entry = $this->form->at($position);

        return $entry->breaths === null
            && ! in_array($entry->repetition?->kind, [RepetitionKind::Timed, RepetitionKind::Breaths, RepetitionKind::UntilTold], true);
    }
}
