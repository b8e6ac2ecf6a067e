<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/**
 * A student as a plan expects them: how likely they come, how far forecasts of them can be trusted, and what they remember of
 * a course's form.
 */
final readonly class ExpectedStudent
{
    /** A student of whom nothing is known comes this often, and counts as so many meetings of it (engine 7). */
    public const USUALLY_COMES = 0.85;

    /** So many stand in for a group that is still empty. */
    public const INVENTED = 12;

    private const PRIOR_MEETINGS = 4;

    /** Trust is (8 + what was observed) / (8 + what was predicted), kept in between (engine 9). */
    private const PRIOR_TESTS = 8.0;

    private const LEAST_TRUST = 0.25;

    private const MOST_TRUST = 1.25;

    /**
     * @param  float  $comes  chance of coming to a meeting, 0..1
     * @param  float  $trust  what contacts nobody saw are remembered by, beside the model
     * @param  array<int, KnownEntry>  $known  by position
     */
    public function __construct(public string $id, public float $comes = self::USUALLY_COMES, public float $trust = 1.0, public array $known = [])
    {
    }

    /** @param  int  $meetings  of the group since the student joined */
    public static function comesBy(int $present, int $meetings): float
    {
        return ($present + self::PRIOR_MEETINGS * self::USUALLY_COMES) / ($meetings + self::PRIOR_MEETINGS);
    }

    /** @param  float  $observed  and `predicted`: sums over the student's tests (engine 19) */
    public static function trustBy(float $observed, float $predicted): float
    {
        return max(self::LEAST_TRUST, min(self::MOST_TRUST, (self::PRIOR_TESTS + $observed) / (self::PRIOR_TESTS + $predicted)));
    }

    /**
     * Students nobody has met yet, for a group that is still empty.
     *
     * @return list<self>
     */
    public static function invented(int $count = self::INVENTED, float $comes = self::USUALLY_COMES): array
    {
        return array_map(static fn (int $number): self => new self("s$number", $comes), range(1, $count));
    }
}
