<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

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
}
