<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Memory\MemoryModel;

/**
 * Whether forecasts were true (engine 19): what was predicted against what was seen, by tenths, with log loss and Brier score.
 * Log loss is -mean(o ln p + (1 - o) ln (1 - p)), Brier score mean((p - o)^2), with o the observed share and p kept off 0 and 1.
 */
final readonly class Reliability
{
    /** From so many tests on a factor is offered. */
    public const ENOUGH = 200;

    private const TENTHS = 10;

    private const EDGE = 1e-9;

    public const LEAST_FACTOR = 0.25;

    public const MOST_FACTOR = 4.0;

    private const FINE = 1e-3;

    /** Of each interval the golden section keeps this part. */
    private const GOLDEN = 0.6180339887498949;

    /**
     * @param  list<ReliabilityTenth>  $tenths  those in which something was predicted, the lowest first
     * @param  float|null  $predicted  and `observed`: means over all tests
     */
    private function __construct(public int $tests, public array $tenths, public ?float $logLoss, public ?float $brier, public ?float $predicted, public ?float $observed)
    {
    }

    /** @param  list<ForecastTest>  $tests */
    public static function of(array $tests, float $factor = 1.0, MemoryModel $model = new MemoryModel): self
    {
        $groups = [];
        $loss = $squares = $said = $seen = 0.0;
        foreach ($tests as $test) {
            $predicted = $test->predicted($model, $factor);
            $groups[min(self::TENTHS - 1, (int) floor(self::TENTHS * $predicted))][] = [$predicted, $test->observed];
            $loss += self::loss($predicted, $test->observed);
            $squares += ($predicted - $test->observed) ** 2;
            $said += $predicted;
            $seen += $test->observed;
        }
        ksort($groups);
        $count = count($tests);

        return new self(
            $count,
            array_map(static fn (int $tenth, array $own): ReliabilityTenth => new ReliabilityTenth($tenth, count($own), array_sum(array_column($own, 0)) / count($own), array_sum(array_column($own, 1)) / count($own)), array_keys($groups), array_values($groups)),
            $count === 0 ? null : $loss / $count,
            $count === 0 ? null : $squares / $count,
            $count === 0 ? null : $said / $count,
            $count === 0 ? null : $seen / $count,
        );
    }

    /**
     * The factor k between a quarter and 4 whose reading R(t, k x S) has the least log loss, to a thousandth: golden section
     * over ln k.
     *
     * @param  list<ForecastTest>  $tests
     * @return float|null null while there are too few tests
     */
    public static function factor(array $tests, MemoryModel $model = new MemoryModel): ?float
    {
        if (count($tests) < self::ENOUGH) {
            return null;
        }
        $loss = static fn (float $ln): float => array_sum(array_map(static fn (ForecastTest $test): float => self::loss($test->predicted($model, exp($ln)), $test->observed), $tests));
        [$from, $to] = [log(self::LEAST_FACTOR), log(self::MOST_FACTOR)];
        [$a, $b] = [$to - self::GOLDEN * ($to - $from), $from + self::GOLDEN * ($to - $from)];
        [$ofA, $ofB] = [$loss($a), $loss($b)];
        while (exp($to) - exp($from) > self::FINE / 2) {
            if ($ofA <= $ofB) {
                [$to, $b, $ofB] = [$b, $a, $ofA];
                $a = $to - self::GOLDEN * ($to - $from);
                $ofA = $loss($a);
            } else {
                [$from, $a, $ofA] = [$a, $b, $ofB];
                $b = $from + self::GOLDEN * ($to - $from);
                $ofB = $loss($b);
            }
        }
        $middle = ($from + $to) / 2;
        // At an end of the range nothing is better than the end itself.
        foreach ([log(self::LEAST_FACTOR), log(self::MOST_FACTOR)] as $end) {
            $middle = $loss($end) <= $loss($middle) ? $end : $middle;
        }

        return exp($middle);
    }

    private static function loss(float $predicted, float $observed): float
    {
        $p = max(self::EDGE, min(1.0 - self::EDGE, $predicted));

        return -($observed * log($p) + (1.0 - $observed) * log(1.0 - $p));
    }
}
