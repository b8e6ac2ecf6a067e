<?php

declare(strict_types=1);

namespace Gorvan\Core\Cue;

use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\Message;

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
    public function forward(): Message
    {
        return Message::of(match ($this) {
            self::FacingClass => 'cue.toward_class',
            self::FromBehind => 'cue.from_class',
            self::SameDirection, self::Plain => 'cue.forward',
        });
    }

    public function back(): Message
    {
        return Message::of(match ($this) {
            self::FacingClass => 'cue.from_class',
            self::FromBehind => 'cue.toward_class',
            self::SameDirection, self::Plain => 'cue.back',
        });
    }

    /** How a side of the class is said, with the teacher's own beside it where that is another. */
    public function side(Side $side): Message
    {
        $own = $this->own($side);

        return $own === null || $own === $side
            ? Message::of("side.$side->value")
            : Message::of('cue.own', side: Message::of("side.$side->value"), own: Message::of("side.$own->value"));
    }
}
