<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** How soon something that is lacking is needed. */
enum CatchUpNeed: string
{
    /** The next lesson starts from it. */
    case Recap = 'recap';

    /** Tonight goes over it. */
    case Review = 'review';
    case Later = 'later';

    public function rank(): int
    {
        return match ($this) {
            self::Recap => 0,
            self::Review => 1,
            self::Later => 2,
        };
    }
}
