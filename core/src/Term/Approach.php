<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** How the material goes round (engine 9); every number is *default*. */
enum Approach: string
{
    /** Each lesson to its checks before the next. */
    case PieceByPiece = 'piece';

    /** The whole target once in rough shape, then again in detail. */
    case OutlineFirst = 'outline';

    /** One side, the other side, then a meeting that only joins them. */
    case SidesThenJoined = 'sides';

    /** The whole set every class, followed along until it is taught; one piece of it worked on. */
    case WholeSet = 'whole';

    /** Minutes one unit of load takes, *default*, where nobody said and a group has not shown its own; see {@see Course::minutesPerLoad()}. */
    public function minutesPerLoad(LessonKind $kind = LessonKind::Fresh): float
    {
        return match ($this) {
            self::OutlineFirst => $kind === LessonKind::Rough ? 2.5 : 5.0,
            self::PieceByPiece, self::WholeSet => 6.0,
            self::SidesThenJoined => 5.0,
        };
    }

    /** What its lessons are when they are given first. */
    public function firstRound(): LessonKind
    {
        return $this === self::OutlineFirst ? LessonKind::Rough : LessonKind::Fresh;
    }

    /** What its lessons are in the round that the size of a lesson is made for. */
    public function mainRound(): LessonKind
    {
        return $this === self::OutlineFirst ? LessonKind::Detail : LessonKind::Fresh;
    }

    /** The mean recall of the last lesson from which the next one is given; 0 where none is waited for. */
    public function gate(): float
    {
        return match ($this) {
            self::OutlineFirst => 0.5,
            self::PieceByPiece => 0.65,
            self::SidesThenJoined => 0.62,
            self::WholeSet => 0.0,
        };
    }

    /** Lessons in a row, at most, before a meeting that brings nothing new; 0 for as many as come. */
    public function rhythm(): int
    {
        return $this === self::SidesThenJoined ? 2 : 0;
    }
}
