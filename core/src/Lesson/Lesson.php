<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

/** A passage of new material: positions from 1, both ends inside, with its load and its number. */
final readonly class Lesson
{
    public function __construct(public int $from, public int $to, public float $load, public int $number)
    {
    }
}
