<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

/** How well a student keeps a principle: its own ladder, independent of sequence (engine 5). */
enum Keeping: int implements Level
{
    case Unmet = 0;
    case Reminded = 1;
    case Slow = 2;
    case Stopped = 3;
    case Throughout = 4;

    public static function named(string $name): ?self
    {
        foreach (self::cases() as $case) {
            if ($case->name === $name) {
                return $case;
            }
        }

        return null;
    }
}
