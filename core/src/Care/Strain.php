<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

/** What asks for a caution (engine 2, `care`), and the caution that is usual for it (*practice*). */
enum Strain: string
{
    case DeepBend = 'deep_bend';
    case OneLeg = 'one_leg';
    case NeckCircle = 'neck_circle';
    case Fold = 'fold';
    case FastTurn = 'fast_turn';

    /** Common practice, to be confirmed by the teacher; no published source. */
    public function usualCaution(): Caution
    {
        return match ($this) {
            self::DeepBend => new Caution(Consideration::Knee, Adaptation::Smaller),
            self::OneLeg => new Caution(Consideration::Balance, Adaptation::Support),
            self::NeckCircle => new Caution(Consideration::Neck, Adaptation::Skip),
            self::Fold => new Caution(Consideration::LowerBack, Adaptation::Smaller),
            self::FastTurn => new Caution(Consideration::Dizziness, Adaptation::Smaller),
        };
    }
}
