<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\CourseForecast;
use OpenApi\Attributes as OA;

/** What a course should come to: on the day of its showing, or a week after the last meeting. */
#[OA\Schema]
final readonly class ForecastData
{
    /**
     * @param  list<WeakEntry>  $weakest
     * @param  list<int>  $low  positions that fall under half on some day
     * @param  list<int>  $left  numbers of lessons that are not reached
     * @param  list<int>  $undetailed  numbers of lessons that are given in rough shape only
     * @param  list<FarData>  $far
     */
    public function __construct(
        #[OA\Property]
        public string $day,
        #[OA\Property]
        public ?int $reach,
        #[OA\Property]
        public int $movements,
        #[OA\Property]
        public int $holds,
        #[OA\Property]
        public float $expected,
        #[OA\Property]
        public ?float $mean,
        #[OA\Property(type: 'array', items: new OA\Items(ref: WeakEntry::class))]
        public array $weakest,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $low,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $left,
        #[OA\Property]
        public ?bool $showingHolds,
        #[OA\Property]
        public ?float $showingMean,
        #[OA\Property]
        public ?float $showingLeast,
        #[OA\Property]
        public ?int $showingLeastAt,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $undetailed,
        #[OA\Property(description: 'the day on which the last lesson is given')]
        public ?string $throughOn,
        #[OA\Property(description: 'minutes a simple movement takes')]
        public ?float $paceMinutes,
        #[OA\Property(description: 'movements an evening')]
        public ?float $paceMovements,
        #[OA\Property(description: 'movements an evening that the end would need')]
        public ?float $paceNeeded,
        #[OA\Property(ref: MessageData::class, nullable: true, description: 'what is said first of it')]
        public ?Message $says,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FarData::class), description: 'who of the class is far from it, the furthest first')]
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
