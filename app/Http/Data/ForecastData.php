<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\CourseForecast;

/** What a course should come to: on the day of its showing, or a week after the last meeting. */
final readonly class ForecastData
{
    /**
     * @param  list<WeakEntry>  $weakest
     * @param  list<int>  $low  positions that fall under half on some day
     * @param  list<int>  $left  numbers of lessons that are not reached
     * @param  list<int>  $undetailed  numbers of lessons that are given in rough shape only
     * @param  list<FarData>  $far  who of the class is far from it, the furthest first
     * @param  string|null  $throughOn  the day on which the last lesson is given
     * @param  float|null  $paceMinutes  minutes a simple movement takes
     * @param  float|null  $paceMovements  movements an evening
     * @param  float|null  $paceNeeded  movements an evening that the end would need
     * @param  Message|null  $says  what is said first of it
     */
    public function __construct(
        public string $day,
        public ?int $reach,
        public int $movements,
        public int $holds,
        public float $expected,
        public ?float $mean,
        public array $weakest,
        public array $low,
        public array $left,
        public ?bool $showingHolds,
        public ?float $showingMean,
        public ?float $showingLeast,
        public ?int $showingLeastAt,
        public array $undetailed,
        public ?string $throughOn,
        public ?float $paceMinutes,
        public ?float $paceMovements,
        public ?float $paceNeeded,
        public ?Message $says,
        public array $far,
    ) {
    }

    /** @param  array<string, string>  $names  of students, by id; who is not among them is not said */
    public static function of(CourseForecast $one, array $names): self
    {
        return new self(
            Day::text($one->day),
            $one->reach,
            $one->movements,
            $one->holds,
            $one->expected,
            $one->mean,
            array_map(static fn (int $at, float $recall): WeakEntry => new WeakEntry($at, $recall), array_keys($one->weakest), $one->weakest),
            $one->low,
            $one->left,
            $one->showing?->holds(),
            $one->showing?->mean,
            $one->showing?->least,
            $one->showing?->leastAt,
            $one->undetailed,
            $one->throughOn === null ? null : Day::text($one->throughOn),
            $one->pace?->minutes,
            $one->pace?->movements,
            $one->pace?->needed,
            $one->says,
            array_values(array_filter(array_map(static fn (string $student, int $behind): ?FarData => isset($names[$student]) ? new FarData($student, $names[$student], $behind) : null, array_map(strval(...), array_keys($one->far)), $one->far))),
        );
    }
}
