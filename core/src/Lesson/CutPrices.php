<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

/** What it costs to move one notch, or to make one more, to each join of what was cut. */
final readonly class CutPrices
{
    /** A price below this, for the size of J, is none. */
    private const NOTHING = 1e-9;

    /** @param  list<NotchPrice>  $prices  one for each join inside what was cut */
    private function __construct(public float $best, public array $prices)
    {
    }

    /**
     * @param  float  $best  J of the best cut
     * @param  array<int, float>  $through  by position, J of the best cut after it; INF where there is none
     */
    public static function of(float $best, array $through): self
    {
        $nothing = self::NOTHING * max(1.0, abs($best));
        $free = array_keys(array_filter($through, static fn (float $cost): bool => $cost - $best <= $nothing));
        $prices = [];
        foreach ($through as $after => $cost) {
            $price = $cost - $best <= $nothing ? 0.0 : $cost - $best;
            $prices[] = new NotchPrice($after, $cost === INF ? null : $price, self::nearest($after, $free));
        }

        return new self($best, $prices);
    }

    public function after(int $position): ?NotchPrice
    {
        foreach ($this->prices as $price) {
            if ($price->after === $position) {
                return $price;
            }
        }

        return null;
    }

    /** @param  list<int>  $free  in order */
    private static function nearest(int $after, array $free): ?int
    {
        $nearest = null;
        foreach ($free as $one) {
            if ($nearest === null || abs($one - $after) < abs($nearest - $after)) {
                $nearest = $one;
            }
        }

        return $nearest;
    }
}
