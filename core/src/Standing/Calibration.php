<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\Side;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Record\DecidingFacts;
use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\FactKind;
use Gorvan\Core\Record\SubjectKind;
use Gorvan\Core\Record\Support;

/**
 * What one student's marks say of the forecasts (engine 19): every mark of an entry that had a state is a test of the recall
 * predicted for that day: observed 1 for Alone or better, a half for Cued, 0 for Following. The marks of one tap, one level at
 * one instant, are one test: the mean of their predictions.
 */
final readonly class Calibration
{
    /** @param  list<ForecastTest>  $each */
    private function __construct(public int $tests, public float $observed, public float $predicted, public array $each)
    {
    }

    /**
     * @param  list<Fact>  $facts  of one student, that stand, in any order
     * @param  callable(string): bool  $hasSides  by the subject's key
     */
    public static function of(array $facts, callable $hasSides, MemoryModel $model = new MemoryModel): self
    {
        $bySubject = [];
        foreach ($facts as $fact) {
            if ($fact->subject?->kind === SubjectKind::Entry) {
                $bySubject[$fact->subject->key()][] = $fact;
            }
        }
        $taps = [];
        foreach ($bySubject as $key => $own) {
            foreach ($hasSides((string) $key) && DecidingFacts::nameASide($own) ? [Side::Left, Side::Right] : [null] as $side) {
                $of = array_values(array_filter($own, static fn (Fact $fact): bool => $side === null || $fact->side === null || $fact->side === $side));
                foreach (self::tests(DecidingFacts::of($of), $model) as [$fact, $predicted]) {
                    $taps[$fact->at->format('U.u').' '.($fact->level->value ?? '')][] = [self::observed($fact), $predicted[0], $predicted[1]];
                }
            }
        }
        $observed = $predicted = 0.0;
        $each = [];
        foreach ($taps as $tap) {
            $test = new ForecastTest($tap[0][0], array_column($tap, 2));
            $each[] = $test;
            $observed += $test->observed;
            $predicted += array_sum(array_column($tap, 1)) / count($tap);
        }

        return new self(count($taps), $observed, $predicted, $each);
    }

    /**
     * @param  array<int, Fact>  $days  the deciding fact of each day, in order
     * @return list<array{Fact, array{float, float}}> marks, each with the recall that was predicted, and days by stability
     */
    private static function tests(array $days, MemoryModel $model): array
    {
        $tests = [];
        $state = $last = null;
        foreach ($days as $day => $fact) {
            $evidence = Evidence::of($fact);
            if ($evidence === null) {
                continue;
            }
            if ($state !== null && $last !== null && $fact->kind === FactKind::Mark) {
                $tests[] = [$fact, [$model->read($day - $last, $state->stability), ($day - $last) / $state->stability]];
            }
            $state = $state === null || $last === null ? $model->first($evidence) : $model->later($state, $day - $last, $evidence);
            $last = $day;
        }

        return $tests;
    }

    private static function observed(Fact $fact): float
    {
        return match ($fact->level) {
            Support::Following => 0.0,
            Support::Cued => 0.5,
            default => 1.0,
        };
    }
}
