<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

/**
 * The power forgetting curve and stability update of FSRS-6 with its published default weights, day granularity
 * (engine 6). Source of the formulas and of every clamp: the open reference library `ts-fsrs` 5.4.2, against which
 * tests/Outside checks each step. Evidence between "remembered" and "not remembered" is mixed in ln S by its share.
 *
 * Pure: no clock, no randomness.
 */
final readonly class MemoryModel
{
    /** w0..w20, the published defaults. */
    private const W = [0.212, 1.2931, 2.3065, 8.2956, 6.4133, 0.8334, 3.0194, 0.001, 1.8722, 0.1666, 0.796, 1.4835,
        0.0614, 0.2629, 1.6483, 0.6014, 1.8729, 0.5425, 0.0912, 0.0658, 0.1542];

    private const LEAST_STABILITY = 0.001;

    private const MOST_STABILITY = 36500.0;

    private const LEAST_FIRST_STABILITY = 0.1;

    private const FORGOTTEN = 1;

    private const HARD = 2;

    private const EASY = 4;

    private float $factor;

    // What no state changes, computed once: a plan asks for hundreds of thousands of updates.
    private float $growth;

    private float $leastLoss;

    private float $easyPull;

    /** @param  float  $reading  the school's factor k (engine 19): recall is read as R(t, k S), and no state changes by it */
    public function __construct(private float $reading = 1.0)
    {
        $this->factor = 0.9 ** (-1.0 / self::W[20]) - 1.0;
        $this->growth = exp(self::W[8]);
        $this->leastLoss = exp(self::W[17] * self::W[18]);
        $this->easyPull = self::W[7] * $this->firstDifficulty(self::EASY);
    }

    /**
     * The chance of doing it from memory after some days: R(t, S) = (1 + F t / S)^(-w20), 0.9 at t = S.
     *
     * @param  int  $days  whole days, 0 or more
     */
    public function recall(int $days, float $stability): float
    {
        return (1.0 + $this->factor * $days / $stability) ** -self::W[20];
    }

    /**
     * What is said of recall after some days: R(t, k S), the model's own where the school has adopted no factor.
     *
     * @param  int  $days  whole days, 0 or more
     */
    public function read(int $days, float $stability): float
    {
        return (1.0 + $this->factor * $days / ($this->reading * $stability)) ** -self::W[20];
    }

    /** The same by the time since the last contact in stabilities, t / S: what a forecast's factor stretches. */
    public function recallAt(float $age): float
    {
        return (1.0 + $this->factor * $age) ** -self::W[20];
    }

    /**
     * How many days after the last contact recall falls under a value, the inverse of {@see read()}.
     *
     * @param  float  $recall  above 0, below 1
     */
    public function daysUntil(float $recall, float $stability): int
    {
        return (int) floor($this->reading * $stability * ($recall ** (-1.0 / self::W[20]) - 1.0) / $this->factor) + 1;
    }

    /** The state after the first contact. */
    public function first(Evidence $evidence): MemoryState
    {
        $share = $evidence->firstShare;

        return new MemoryState(
            self::mixed($share, $this->firstStability($evidence->grade), $this->firstStability(self::FORGOTTEN)),
            self::clamped($this->firstDifficulty($share > 0.0 ? $evidence->grade : self::FORGOTTEN), 1.0, 10.0),
        );
    }

    /**
     * The state after a later contact.
     *
     * @param  int  $days  whole days since the last one, 1 or more
     * @param  float  $trust  how the share of what nobody saw stands to the recall that is forecast (engine 9)
     */
    public function later(MemoryState $state, int $days, Evidence $evidence, float $trust = 1.0): MemoryState
    {
        $recall = $this->recall($days, $state->stability);
        $share = $evidence->laterShare ?? $recall * $evidence->recallPart * $trust;
        $share = $share > 1.0 ? 1.0 : $share;
        // Only what is mixed is computed: most marks are all remembered or all forgotten.
        $stability = match (true) {
            $share === 0.0 || $evidence->grade === self::FORGOTTEN => $this->stabilityAfterForgetting($state->stability, $state->difficulty, $recall),
            $share === 1.0 => $this->stabilityAfterRecall($state->stability, $state->difficulty, $recall, $evidence->grade),
            default => self::mixed($share, $this->stabilityAfterRecall($state->stability, $state->difficulty, $recall, $evidence->grade), $this->stabilityAfterForgetting($state->stability, $state->difficulty, $recall)),
        };

        return new MemoryState($stability, $evidence->laterShare === null ? $state->difficulty : $this->nextDifficulty($state->difficulty, $evidence->grade));
    }

    private function firstStability(int $grade): float
    {
        return max(self::W[$grade - 1], self::LEAST_FIRST_STABILITY);
    }

    private function firstDifficulty(int $grade): float
    {
        return self::W[4] - exp(($grade - 1) * self::W[5]) + 1.0;
    }

    private function nextDifficulty(float $difficulty, int $grade): float
    {
        $change = -self::W[6] * ($grade - 3);
        $damped = $difficulty + $change * (10.0 - $difficulty) / 9.0;

        return self::clamped($this->easyPull + (1.0 - self::W[7]) * $damped, 1.0, 10.0);
    }

    // These two are asked for by the hundred thousand in a plan: they take what they need, and clamp where they stand.
    private function stabilityAfterRecall(float $stability, float $difficulty, float $recall, int $grade): float
    {
        $growth = $this->growth * (11.0 - $difficulty) * $stability ** -self::W[9]
            * (exp((1.0 - $recall) * self::W[10]) - 1.0)
            * ($grade === self::HARD ? self::W[15] : 1.0)
            * ($grade === self::EASY ? self::W[16] : 1.0);
        $grown = $stability * (1.0 + $growth);

        return $grown < self::LEAST_STABILITY ? self::LEAST_STABILITY : ($grown > self::MOST_STABILITY ? self::MOST_STABILITY : $grown);
    }

    private function stabilityAfterForgetting(float $stability, float $difficulty, float $recall): float
    {
        $left = self::W[11] * $difficulty ** -self::W[12] * (($stability + 1.0) ** self::W[13] - 1.0)
            * exp((1.0 - $recall) * self::W[14]);
        $left = $left < self::LEAST_STABILITY ? self::LEAST_STABILITY : ($left > self::MOST_STABILITY ? self::MOST_STABILITY : $left);
        // Forgetting never leaves more than a same-day repetition would: the reference's cap.
        $cap = $stability / $this->leastLoss;
        $cap = $cap < self::LEAST_STABILITY ? self::LEAST_STABILITY : $cap;

        return $cap < $left ? $cap : $left;
    }

    private static function mixed(float $share, float $remembered, float $forgotten): float
    {
        return match ($share) {
            1.0 => $remembered,
            0.0 => $forgotten,
            default => exp($share * log($remembered) + (1.0 - $share) * log($forgotten)),
        };
    }

    private static function clamped(float $value, float $least, float $most): float
    {
        return $value < $least ? $least : ($value > $most ? $most : $value);
    }
}
