<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use DateTimeImmutable;
use DateTimeZone;

/** Days without class, `Y-m-d`, both ends inside. */
final readonly class Closure
{
    public function __construct(public string $from, public string $to)
    {
    }

    public function covers(string $day): bool
    {
        return $this->from <= $day && $day <= $this->to;
    }

    /**
     * The days on which class would have been.
     *
     * @param  list<Weekday>  $weekdays  of the weekly pattern
     * @param  string  $first  of the term, `Y-m-d`
     * @param  string  $last  of the term, `Y-m-d`
     * @return list<string> `Y-m-d`, in order; none where the closure takes no class away
     */
    public function fallenOut(array $weekdays, string $first, string $last): array
    {
        $days = [];
        $utc = new DateTimeZone('UTC');
        $end = new DateTimeImmutable(min($this->to, $last), $utc);
        for ($day = new DateTimeImmutable(max($this->from, $first), $utc); $day <= $end; $day = $day->modify('+1 day')) {
            if (in_array(Weekday::from($day->format('D')), $weekdays, true)) {
                $days[] = $day->format('Y-m-d');
            }
        }

        return $days;
    }
}
