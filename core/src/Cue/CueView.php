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

    /** Degrees; turns that sum up to a quarter but for rounding are a quarter. */
    private const SQUARE = 1e-6;

    /**
     * Where a step forward or back goes, seen from where the teacher stands. A class that has turned steps along the hall; one
     * that faces a corner, or nobody knows where, steps forward, and it is said that it is not known.
     *
     * @param  float|null  $facing  degrees clockwise from how the opening faces
     */
    public function along(bool $isForward, ?float $facing): Message
    {
        $plain = Message::of($isForward ? 'cue.forward' : 'cue.back');
        if ($this === self::SameDirection || $this === self::Plain) {
            return $plain;
        }
        if ($facing === null) {
            return Message::of('cue.unknown_facing', where: $plain);
        }
        $quarters = round($facing / 90.0);
        if (abs($facing - 90.0 * $quarters) > self::SQUARE) {
            return $plain;
        }
        $way = ((int) $quarters + ($isForward ? 0 : 2)) % 4;
        $isFacing = $this === self::FacingClass;

        return match (($way + 4) % 4) {
            0 => Message::of($isFacing ? 'cue.toward_class' : 'cue.from_class'),
            2 => Message::of($isFacing ? 'cue.from_class' : 'cue.toward_class'),
            // To the right of the class as it stood at the opening: the left of a teacher who faces it.
            1 => Message::of('cue.across', where: $plain, own: Message::of($isFacing ? 'side.left' : 'side.right')),
            default => Message::of('cue.across', where: $plain, own: Message::of($isFacing ? 'side.right' : 'side.left')),
        };
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
