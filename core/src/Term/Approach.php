<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** How the material goes round (engine 9). */
enum Approach: string
{
    case OutlineFirst = 'outline';
    case PieceByPiece = 'piece';
    case SidesThenJoined = 'sides';

    /** Minutes one unit of load takes, *default*; an outline's first round. */
    public function minutesPerLoad(): float
    {
        return match ($this) {
            self::OutlineFirst => 5.0,
            self::PieceByPiece => 8.0,
            self::SidesThenJoined => 6.0,
        };
    }
}
