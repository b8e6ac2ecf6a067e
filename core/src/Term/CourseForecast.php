<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\Written;
use stdClass;

/** What a course should come to: a week after the last meeting, and before that at its showing (engine 9). */
final readonly class CourseForecast implements Written
{
    /** A movement holds, and a passage does at a showing, at this mean recall. */
    public const HOLD_RECALL = 0.8;

    /** No entry of a passage that holds at a showing is under this. */
    public const LEAST_RECALL = 0.6;

    /** Who is so many movements behind the class, and a tenth of what was taught, is far from it. */
    private const FAR = 3;

    /** What falls under this on any day of the term is named. */
    public const LOW_RECALL = 0.5;

    /**
     * @param  int  $day  what is said is said of this day
     * @param  int|null  $reach  position of the last entry taught
     * @param  int  $movements  taught by then
     * @param  int  $holds  movements whose mean recall is 0.8 or more
     * @param  float  $expected  movements: the sum of their mean recalls
     * @param  float|null  $mean  recall of what was taught
     * @param  array<int, float>  $weakest  the lowest mean recalls, by position
     * @param  list<int>  $low  positions that fall under 0.5 on some day
     * @param  list<int>  $left  numbers of the lessons that are not reached
     * @param  ShowingForecast|null  $showing  null where there is none
     * @param  array<string, int>  $minutes  of the planned meetings, by box
     * @param  list<int>  $undetailed  numbers of the lessons of an outline that are given in rough shape only
     * @param  int|null  $throughOn  the day on which the last lesson is given; null where not all are, or none is left
     * @param  ForecastPace|null  $pace  what the course takes, and would need
     * @param  array<string, int>  $far  who of the class is far from it, the furthest first: movements behind by student
     * @param  Message|null  $says  what is said first of it: one sentence about its pace
     */
    public function __construct(
        public string $course,
        public int $day,
        public ?int $reach,
        public int $movements,
        public int $holds,
        public float $expected,
        public ?float $mean,
        public array $weakest,
        public array $low,
        public array $left,
        public ?ShowingForecast $showing,
        public array $minutes,
        public array $undetailed = [],
        public ?int $throughOn = null,
        public ?ForecastPace $pace = null,
        public ?Message $says = null,
        public array $far = [],
    ) {
    }

    /**
     * Who is far behind the middle of the class, in expected movements; of two, the better is the middle. Pure.
     *
     * @param  array<string, float>  $expected  movements by student
     * @param  int  $movements  that were taught
     * @return array<string, int> whole movements by student, the furthest first, then by id
     */
    public static function far(array $expected, int $movements): array
    {
        $sorted = array_values($expected);
        rsort($sorted);
        $middle = $sorted[intdiv(count($sorted) - 1, 2)] ?? 0.0;
        $behind = array_map(static fn (float $own): int => (int) round($middle - $own), $expected);
        $far = array_filter($behind, static fn (int $one): bool => $one >= max(self::FAR, $movements / 10));
        ksort($far, SORT_STRING);
        arsort($far);

        return $far;
    }

    /**
     * The same once the term is walked to its end.
     *
     * @param  list<int>  $low
     * @param  list<int>  $left
     * @param  list<int>  $undetailed
     * @param  array<string, int>  $minutes
     */
    public function ended(array $low, array $left, array $undetailed, array $minutes, ?int $throughOn): self
    {
        return $this->with(['low' => $low, 'left' => $left, 'undetailed' => $undetailed, 'minutes' => $minutes, 'throughOn' => $throughOn]);
    }

    /**
     * The same with some properties changed. Pure.
     *
     * @param  array<string, mixed>  $changes  by the names of the properties
     */
    public function with(array $changes): self
    {
        return new self(...[...get_object_vars($this), ...$changes]); // @phpstan-ignore argument.type
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        $whole = static fn (string $key): array => Fields::each($node->optional($key), static fn (JsonNode $one): int => $one->whole(0, 600));
        $weakest = [];
        foreach ($node->optional('weakest')?->items() ?? [] as $one) {
            $weakest[$one->required('at')->whole(1, 600)] = $one->required('recall')->number(0, 1);
        }
        $minutes = [];
        foreach ($node->optional('minutes')?->items() ?? [] as $box) {
            $minutes[$box->required('kind')->oneOf(Box::class)->value] = $box->required('minutes')->whole(0, 1_000_000);
        }
        $far = [];
        foreach ($node->optional('far')?->items() ?? [] as $one) {
            $far[$one->required('student')->text(Fields::SHORT)] = $one->required('behind')->whole(0, 600);
        }
        $showing = $node->optional('showing');
        $through = $node->optional('through_on');
        $pace = $node->optional('pace');
        $says = $node->optional('says');

        $day = Day::number(Instant::day($node->required('day')));

        return new self(
            $node->required('course')->text(Fields::SHORT),
            $day,
            $node->optional('reach')?->whole(1, 600),
            $node->required('movements')->whole(0, 600),
            $node->required('holds')->whole(0, 600),
            $node->required('expected')->number(0, 600),
            $node->optional('mean')?->number(0, 1),
            $weakest,
            $whole('low'),
            $whole('left'),
            $showing === null ? null : ShowingForecast::read($showing, $day),
            $minutes,
            $whole('undetailed'),
            $through === null ? null : Day::number(Instant::day($through)),
            $pace === null ? null : ForecastPace::read($pace),
            $says === null ? null : Message::read($says),
            $far,
        );
    }

    public function toData(): stdClass
    {
        return Fields::written([
            'course' => $this->course,
            'day' => Day::text($this->day),
            'reach' => $this->reach,
            'movements' => $this->movements,
            'holds' => $this->holds,
            'expected' => $this->expected,
            'mean' => $this->mean,
            'weakest' => array_map(static fn (int $at, float $recall): array => ['at' => $at, 'recall' => $recall], array_keys($this->weakest), $this->weakest),
            'low' => $this->low,
            'left' => $this->left,
            'showing' => $this->showing?->toData(),
            'minutes' => array_map(static fn (string $box, int $minutes): array => ['kind' => $box, 'minutes' => $minutes], array_keys($this->minutes), $this->minutes),
            'undetailed' => $this->undetailed,
            'through_on' => $this->throughOn === null ? null : Day::text($this->throughOn),
            'pace' => $this->pace?->toData(),
            'says' => $this->says?->toData(),
            'far' => array_map(static fn (string $student, int $behind): array => ['student' => $student, 'behind' => $behind], array_map(strval(...), array_keys($this->far)), $this->far),
        ]);
    }
}
