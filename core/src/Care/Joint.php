<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

/** What a warm-up prepares and a movement loads. */
enum Joint: string
{
    case Ankle = 'ankle';
    case Knee = 'knee';
    case Hip = 'hip';
    case LowerBack = 'lower_back';
    case Shoulder = 'shoulder';
    case Elbow = 'elbow';
    case Wrist = 'wrist';
    case Neck = 'neck';
}
