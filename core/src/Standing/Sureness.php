<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** How sure we still are of an entry: recall good enough to hold, good enough to pass, or neither (engine 10). */
enum Sureness: string
{
    case Good = 'good';
    case Fading = 'fading';
    case Weak = 'weak';

    /** @param  float  $recall  0..1 */
    public static function of(float $recall): self
    {
        return match (true) {
            $recall >= TrackStanding::HOLD_RECALL => self::Good,
            $recall >= TrackStanding::PASS_RECALL => self::Fading,
            default => self::Weak,
        };
    }
}
