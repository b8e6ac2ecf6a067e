<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** Whether a student can go on from a recap to the next lesson (engine 10). */
enum Readiness: string
{
    case NotYet = 'not_yet';

    /** Taught and not yet seen: one glance settles it. */
    case Look = 'look';
    case Ready = 'ready';

    /** The order from what holds back most. */
    public function rank(): int
    {
        return match ($this) {
            self::NotYet => 0,
            self::Look => 1,
            self::Ready => 2,
        };
    }

    /** The weaker of two. */
    public function and(self $other): self
    {
        return $this->rank() <= $other->rank() ? $this : $other;
    }
}
