<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

/** What a student needed when last seen: the ladder a teacher marks (engine 5). */
enum Support: int
{
    case Unmet = 0;
    case Following = 1;
    case Cued = 2;
    case Alone = 3;
    case Flowing = 4;
    case Leading = 5;

    public static function named(string $name): ?self
    {
        foreach (self::cases() as $case) {
            if ($case->name === $name) {
                return $case;
            }
        }

        return null;
    }

    public function isAtLeast(self $other): bool
    {
        return $this->value >= $other->value;
    }

    /** How this mark is read by the memory model; null for Unmet, which says nothing about memory (engine 6). */
    public function evidence(): ?Evidence
    {
        return match ($this) {
            self::Unmet => null,
            self::Following => Evidence::seen(1, 0.0),
            self::Cued => Evidence::seen(2, 0.5),
            self::Alone => Evidence::seen(3, 1.0),
            self::Flowing, self::Leading => Evidence::seen(4, 1.0),
        };
    }
}
