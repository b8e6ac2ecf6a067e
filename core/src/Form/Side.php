<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** Which side of the body an entry is done on; `both` is one after the other inside the entry. */
enum Side: string
{
    case Left = 'left';
    case Right = 'right';
    case Both = 'both';
    case Centre = 'centre';

    /** Left for right; both and centre stay. */
    public function mirrored(): self
    {
        return match ($this) {
            self::Left => self::Right,
            self::Right => self::Left,
            default => $this,
        };
    }
}
