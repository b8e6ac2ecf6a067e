<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** How large somebody is beside the others, as a teacher sees it: only for pairs of like size. */
enum BodySize: string
{
    case Small = 'small';
    case Middle = 'middle';
    case Large = 'large';

    public function rank(): int
    {
        return match ($this) {
            self::Small => 0,
            self::Middle => 1,
            self::Large => 2,
        };
    }
}
