<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** The foot that steps first. */
enum FirstStep: string
{
    case Left = 'left';
    case Right = 'right';
    case None = 'none';

    /** The foot, or null where none steps. */
    public function foot(): ?Side
    {
        return match ($this) {
            self::Left => Side::Left,
            self::Right => Side::Right,
            self::None => null,
        };
    }

    public function mirrored(): self
    {
        return match ($this) {
            self::Left => self::Right,
            self::Right => self::Left,
            self::None => self::None,
        };
    }
}
