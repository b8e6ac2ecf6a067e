<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

/** Something of a student's body the teacher plans around (engine 12). */
enum Consideration: string
{
    case Knee = 'knee';
    case Hip = 'hip';
    case Ankle = 'ankle';
    case Shoulder = 'shoulder';
    case Elbow = 'elbow';
    case Wrist = 'wrist';
    case Neck = 'neck';
    case LowerBack = 'lower_back';
    case Dizziness = 'dizziness';
    case Balance = 'balance';
    case BreathOrHeart = 'breath_or_heart';
    case Pregnancy = 'pregnancy';
    case RecentSurgery = 'recent_surgery';
    case FirstTime = 'first_time';
    case Other = 'other';

    /** Whether it names nothing a movement could be matched with, so that the student is asked (engine 12). */
    public function asks(): bool
    {
        return $this === self::RecentSurgery || $this === self::Other;
    }

    /** Whether a body has it on the left and on the right. */
    public function hasSides(): bool
    {
        return in_array($this, [self::Knee, self::Hip, self::Ankle, self::Shoulder, self::Elbow, self::Wrist], true);
    }
}
