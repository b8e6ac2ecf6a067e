<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** How the material goes round (engine 9); every number is *default*. */
enum Approach: string
{
    case OutlineFirst = 'outline';
    case PieceByPiece = 'piece';
    case SidesThenJoined = 'sides';

    /** Minutes one unit of load takes, *default*, where a group has not shown its own; see {@see Course::minutesPerLoad()}. */
    public function minutesPerLoad(LessonKind $kind = LessonKind::Fresh): float
    {
        return match ($this) {
            self::OutlineFirst => $kind === LessonKind::Detail ? 4.0 : 5.0,
            self::PieceByPiece => 8.0,
            self::SidesThenJoined => 6.0,
        };
    }

    /** The mean recall of the last lesson from which the next one is given. */
    public function gate(): float
    {
        return match ($this) {
            self::OutlineFirst => 0.55,
            self::PieceByPiece => 0.65,
            self::SidesThenJoined => 0.62,
        };
    }

    /** Lessons in a row, at most, before a meeting that brings nothing new: people tire (practice). */
    public function rhythm(): int
    {
        return match ($this) {
            self::OutlineFirst => 4,
            self::PieceByPiece => 3,
            self::SidesThenJoined => 2,
        };
    }
}
