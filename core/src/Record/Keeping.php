<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use JsonSerializable;

/** How well a student keeps a principle: its own ladder, independent of sequence (engine 5). */
enum Keeping: int implements JsonSerializable, Level
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

    /** Its name, as files and pages have it; the number is for comparing. */
    public function jsonSerialize(): string
    {
        return $this->name;
    }
}
