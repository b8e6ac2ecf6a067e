<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

/** What was done in a class (`gorvan.log/1`). */
enum DoingKind: string
{
    /** Taught before the group was kept here. */
    case Before = 'before';
    case Taught = 'taught';

    /** Only shown in rough shape. */
    case Shown = 'shown';

    /** Followed along before it was taught: a rough round, a set that is practised whole. */
    case Followed = 'followed';
    case Reviewed = 'reviewed';
    case RunThrough = 'run_through';
    case Focus = 'focus';
    case Drill = 'drill';
    case WarmUp = 'warm_up';
    case Restarted = 'restarted';
    case Joined = 'joined';
    case LeftOut = 'left_out';

    /** The contact it was for whoever was there, or null where it leaves nothing in memory. */
    public function contact(): ?FactKind
    {
        return match ($this) {
            self::Before => FactKind::Before,
            // A principle is taught at the student's own first focus and practised later, which is how `taught` is read.
            self::Taught, self::Focus => FactKind::Taught,
            self::Reviewed => FactKind::Practice,
            self::RunThrough => FactKind::RunThrough,
            // Exposure and nothing more: it is on record, and makes no memory (engine 6).
            self::Shown, self::Followed, self::Drill, self::WarmUp, self::Restarted, self::Joined, self::LeftOut => null,
        };
    }

    /** Whether the group counts as having been taught its entries. */
    public function teaches(): bool
    {
        return $this === self::Before || $this === self::Taught;
    }
}
