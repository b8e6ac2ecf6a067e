<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** A run of neighbouring entries: positions from 1, both ends inside. */
final readonly class Passage
{
    public function __construct(public int $from, public int $to)
    {
    }

    /** @return list<int> */
    public function positions(): array
    {
        return range($this->from, $this->to);
    }

    /**
     * The fewest passages that cover the positions and nothing else.
     *
     * @param  list<int>  $positions
     * @return list<self> in order
     */
    public static function covering(array $positions): array
    {
        $positions = array_values(array_unique($positions));
        sort($positions);
        $passages = [];
        foreach ($positions as $at => $position) {
            if ($at > 0 && $positions[$at - 1] === $position - 1) {
                $last = array_pop($passages);
                $passages[] = new self($last->from ?? $position, $position);
            } else {
                $passages[] = new self($position, $position);
            }
        }

        return $passages;
    }
}
