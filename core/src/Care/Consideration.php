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
    case Other = 'other';
}
