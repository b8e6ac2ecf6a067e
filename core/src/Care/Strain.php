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

    /**
     * What it asks of: whoever has one of these needs care in it (engine 12).
     *
     * @return list<Consideration>
     */
    public function asksOf(): array
    {
        return match ($this) {
            self::DeepBend => [Consideration::Knee, Consideration::Hip, Consideration::Ankle, Consideration::LowerBack],
            self::OneLeg => [Consideration::Balance, Consideration::Ankle, Consideration::Knee, Consideration::Hip, Consideration::Dizziness],
            self::NeckCircle => [Consideration::Neck, Consideration::Dizziness],
            self::Fold => [Consideration::LowerBack, Consideration::Hip, Consideration::Dizziness, Consideration::BreathOrHeart, Consideration::Pregnancy],
            self::FastTurn => [Consideration::Knee, Consideration::LowerBack, Consideration::Balance, Consideration::Dizziness],
        };
    }

    /**
     * The joints it loads, which a warm-up should have reached (engine 12).
     *
     * @return list<Joint>
     */
    public function joints(): array
    {
        return match ($this) {
            self::DeepBend => [Joint::Knee, Joint::Hip],
            self::OneLeg => [Joint::Ankle, Joint::Hip],
            self::NeckCircle => [Joint::Neck],
            self::Fold => [Joint::LowerBack, Joint::Hip],
            self::FastTurn => [Joint::Knee, Joint::LowerBack],
        };
    }
}
