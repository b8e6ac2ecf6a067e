<?php

declare(strict_types=1);

namespace Database\Demo;

use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Support;

/** How an invented student comes to class and learns; the demo's standings follow from it. */
enum Profile: string
{
    case Steady = 'steady';
    case AwayForAMonth = 'away for a month';
    case Quick = 'quick';
    case NeedsCues = 'needs cues';
    case CameLate = 'came late';

    /** Whether the student is at the meeting held so many weeks before tonight. */
    public function attends(int $weeksAgo): bool
    {
        return match ($this) {
            self::AwayForAMonth => $weeksAgo > 4,
            self::CameLate => $weeksAgo <= 3,
            default => true,
        };
    }

    /** What the teacher sees at the n-th look at an entry, from 1. */
    public function seen(int $look): Support
    {
        return match ($this) {
            self::Quick => match (true) {
                $look === 1 => Support::Alone,
                $look <= 3 => Support::Flowing,
                default => Support::Leading,
            },
            self::NeedsCues => $look === 1 ? Support::Following : Support::Cued,
            self::CameLate => match ($look) {
                1 => Support::Following,
                2 => Support::Cued,
                default => Support::Alone,
            },
            default => match (true) {
                $look === 1 => Support::Cued,
                $look <= 3 => Support::Alone,
                default => Support::Flowing,
            },
        };
    }

    /** What the teacher sees at the n-th look at a principle, from 1. */
    public function keeps(int $look): Keeping
    {
        return match ($this) {
            self::Quick => $look === 1 ? Keeping::Stopped : Keeping::Throughout,
            self::NeedsCues => Keeping::Reminded,
            self::CameLate => $look === 1 ? Keeping::Reminded : Keeping::Slow,
            default => $look === 1 ? Keeping::Slow : Keeping::Stopped,
        };
    }
}
