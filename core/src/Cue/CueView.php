<?php

declare(strict_types=1);

namespace Gorvan\Core\Cue;

use Gorvan\Core\Form\Side;

/** From where the teacher gives a cue. `{L}` and `{R}` are always the student's own left and right. */
enum CueView: string
{
    /** Facing the class and mirroring it: their left is the teacher's right. */
    case FacingClass = 'facing';

    /** In front of the class or among it, facing as it does. */
    case SameDirection = 'same';

    /** Standing behind the class and looking at its backs. */
    case FromBehind = 'behind';

    /** As written, for a sheet that anybody reads. */
    case Plain = 'plain';

    /** The teacher's own side while the class uses this one; null where the teacher does not move along. */
    public function own(Side $side): ?Side
    {
        return match ($this) {
            self::FacingClass => $side->mirrored(),
            self::SameDirection => $side,
            self::FromBehind, self::Plain => null,
        };
    }

    /** The turn as the teacher does it, degrees clockwise; a mirrored turn goes the other way. */
    public function turn(float $degrees): float
    {
        return $this === self::FacingClass && $degrees !== 0.0 ? -$degrees : $degrees;
    }

    /** What "forward" is, seen from where the teacher stands. */
    public function forward(): string
    {
        return match ($this) {
            self::FacingClass => 'towards you',
            self::FromBehind => 'away from you',
            self::SameDirection, self::Plain => 'forward',
        };
    }

    public function back(): string
    {
        return match ($this) {
            self::FacingClass => 'away from you',
            self::FromBehind => 'towards you',
            self::SameDirection, self::Plain => 'back',
        };
    }
}
