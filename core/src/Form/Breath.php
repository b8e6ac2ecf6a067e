<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** How a phase is breathed. */
enum Breath: string
{
    case In = 'in';
    case Out = 'out';
    case Pause = 'pause';
    case Sound = 'sound';
    case Free = 'free';

    /** The other of in and out, which alternate (*practice*); null for what has no other. */
    public function opposite(): ?self
    {
        return match ($this) {
            self::In => self::Out,
            self::Out => self::In,
            default => null,
        };
    }
}
