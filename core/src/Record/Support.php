<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use JsonSerializable;

/** What a student needed when last seen: the ladder a teacher marks (engine 5). */
enum Support: int implements JsonSerializable, Level
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

    /** Its name, as files and pages have it; the number is for comparing. */
    public function jsonSerialize(): string
    {
        return $this->name;
    }
}
