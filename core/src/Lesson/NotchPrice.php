<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

/** What a cut after a position costs against the best. */
final readonly class NotchPrice
{
    /**
     * @param  float|null  $price  how much J grows; null where no cut can be: it is barred, or no lesson would keep the cap
     * @param  int|null  $free  the nearest position after which a cut costs nothing, itself among them, the earlier of two
     *                          as near; null where there is none
     */
    public function __construct(public int $after, public ?float $price, public ?int $free)
    {
    }
}
