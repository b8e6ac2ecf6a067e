<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Time;

use Gorvan\Core\Form\Breath;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Phase;
use Gorvan\Core\Form\RepetitionKind;

/**
 * A passage as it is breathed, beat by beat, for a pacer: the same time as the run-through, shared out over breaths.
 */
final class BreathScript
{
    /** The exhale is a little longer than the inhale (*practice*; how much is our *default*). */
    public const IN = 0.45;

    public const OUT = 0.55;

    /** A pacer that would beat more often than this is not walked through. */
    private const MOST = 20_000;

    /** @return list<BreathBeat> in order; an entry without a duration is one beat that lasts until told */
    public function of(Form $form, int $from, int $to, Pace $pace = Pace::ClassPace): array
    {
        $time = new RunTime($form);
        $factor = $pace->factor($form);
        $breath = $form->breathSeconds ?? RunTime::BREATH_SECONDS;
        $beats = [];
        for ($position = $from; $position <= $to && count($beats) < self::MOST; $position++) {
            $entry = $form->at($position);
            if (! $entry->kind->countsInForm()) {
                continue;
            }
            $seconds = $time->secondsOf($position);
            if ($seconds === null) {
                $beats[] = new BreathBeat($position, Breath::Free, null);
            } elseif ($seconds > 0.0) {
                array_push($beats, ...self::beats($entry, $position, $seconds, $breath, $factor));
            }
        }

        return array_slice($beats, 0, self::MOST);
    }

    /** @return list<BreathBeat> */
    private static function beats(Entry $entry, int $position, float $seconds, float $breath, float $factor): array
    {
        $counts = in_array($entry->repetition?->kind, [RepetitionKind::Timed, RepetitionKind::Breaths, RepetitionKind::UntilTold], true);
        $times = $counts ? 1 : ($entry->repetition?->inAll() ?? 1);
        $phases = $entry->phases === []
            ? self::plain(max(1, (int) round($seconds / max(1, $times) / $breath)))
            : self::phased($entry);
        $whole = array_sum(array_map(static fn (array $phase): float => self::share($phase[0]), $phases));
        $beats = [];
        for ($time = 0; $time < $times && count($beats) < self::MOST; $time++) {
            foreach ($phases as [$kind, $cue]) {
                $beats[] = new BreathBeat($position, $kind, $seconds * $factor / $times * self::share($kind) / $whole, $cue, $time + 1);
            }
        }

        return $beats;
    }

    /**
     * Its phases, gone through as often as the breaths it states need: one in and out that is to last four breaths is breathed four
     * times, and not once four times as slowly. What is said is said once.
     *
     * @return list<array{Breath, string|null}>
     */
    private static function phased(Entry $entry): array
    {
        $phases = array_map(static fn (Phase $phase): array => [$phase->breath ?? Breath::Free, $phase->cue ?? $phase->title], $entry->phases);
        $in = count(array_filter($entry->phases, static fn (Phase $phase): bool => $phase->breath === Breath::In));
        $out = count(array_filter($entry->phases, static fn (Phase $phase): bool => in_array($phase->breath, [Breath::Out, Breath::Sound], true)));
        $breaths = max($in, $out);
        $rounds = $entry->breaths === null || $breaths === 0 ? 1 : max(1, (int) round($entry->breaths / $breaths));
        $again = array_map(static fn (array $phase): array => [$phase[0], null], $phases);

        return array_merge($phases, ...array_fill(0, $rounds - 1, $again));
    }

    /** @return list<array{Breath, string|null}> */
    private static function plain(int $breaths): array
    {
        return array_merge(...array_fill(0, max(1, $breaths), [[Breath::In, null], [Breath::Out, null]]));
    }

    private static function share(Breath $breath): float
    {
        return match ($breath) {
            Breath::In => self::IN,
            Breath::Out, Breath::Sound => self::OUT,
            Breath::Pause, Breath::Free => 0.5,
        };
    }
}
