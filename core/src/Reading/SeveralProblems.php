<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

/** More than one thing is wrong; the first stands for them. */
final class SeveralProblems extends BadInput
{
    /** Told one by one up to here; whoever mends these meets the rest. */
    private const MOST = 50;

    /** @param  non-empty-list<BadInput>  $problems */
    public static function all(array $problems): BadInput
    {
        [$first, $more] = [$problems[0], count($problems) - 1];

        return $more === 0 ? $first : new self($first->place, Message::of('problems.more', first: $first->reason, count: $more), array_slice($problems, 0, self::MOST));
    }
}
