<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use DomainException;

/** The form cannot be cut as asked; the message says what would work. */
final class CutImpossible extends DomainException
{
    public static function targetMustBePositive(float $target): self
    {
        return new self("the load of a lesson must be more than 0, not $target");
    }

    public static function lessonsOutOfRange(int $lessons, int $entries): self
    {
        return new self("a form of $entries entries can be cut into 1 to $entries lessons, not $lessons");
    }

    public static function targetAndLessons(): self
    {
        return new self('say either the load of a lesson or the number of lessons, not both');
    }

    /** @param  list<int>  $feasible numbers of lessons that would work, in order */
    public static function lessonsInfeasible(int $lessons, array $feasible): self
    {
        $range = $feasible === [] ? 'no number of lessons is feasible' : 'feasible: '.self::ranges($feasible);

        return new self("$lessons lessons cannot be made with these pins, bars and caps; $range");
    }

    public static function nothingFits(float $target, int $from, int $to, float $load, float $cap): self
    {
        return new self(sprintf(
            'no number of lessons is feasible: entries %d to %d may not be cut apart and carry %s, more than %s (1.5 x %s); lift a bar among them or ask for larger lessons',
            $from, $to, round($load, 4), round($cap, 4), round($target, 4),
        ));
    }

    /** @param  non-empty-list<int>  $numbers in order */
    private static function ranges(array $numbers): string
    {
        $ranges = [];
        $first = $last = $numbers[0];
        foreach ([...array_slice($numbers, 1), PHP_INT_MAX] as $number) {
            if ($number !== $last + 1) {
                $ranges[] = $first === $last ? "$first" : "$first to $last";
                $first = $number;
            }
            $last = $number;
        }

        return implode(', ', $ranges);
    }
}
