<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** Somebody who can be paired. */
final readonly class Pairable
{
    /**
     * @param  BodySize|null  $size  null where nobody has said: taken as in the middle
     * @param  int  $frontier  position up to which they are secure, 0 where nothing is yet
     */
    public function __construct(public string $id, public ?BodySize $size, public int $frontier)
    {
    }

    public function sizeRank(): int
    {
        return ($this->size ?? BodySize::Middle)->rank();
    }
}
