<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Track;

/** Where one stands: steps to the right (`x`) and forward (`y`) of the start, and the facing in degrees clockwise. */
final readonly class Footing
{
    public function __construct(public float $x, public float $y, public float $facing)
    {
    }

    /**
     * After travelling in the body's own frame and then turning (engine 13).
     *
     * @param  float  $forward  steps
     * @param  float  $right  steps
     * @param  float  $turn  degrees, clockwise positive
     */
    public function after(float $forward, float $right, float $turn): self
    {
        // A quarter turn is exact, so that a square walked returns to its corner.
        [$sin, $cos] = match (fmod(fmod($this->facing, 360.0) + 360.0, 360.0)) {
            0.0 => [0.0, 1.0],
            90.0 => [1.0, 0.0],
            180.0 => [0.0, -1.0],
            270.0 => [-1.0, 0.0],
            default => [sin(deg2rad($this->facing)), cos(deg2rad($this->facing))],
        };

        return new self($this->x + $forward * $sin + $right * $cos, $this->y + $forward * $cos - $right * $sin, $this->facing + $turn);
    }

    /** The same place and facing, in the frame of somebody who stands at another and faces as it does. */
    public function seenFrom(self $other): self
    {
        $turned = (new self(0.0, 0.0, 0.0 - $other->facing))->after($this->y - $other->y, $this->x - $other->x, 0.0);

        return new self($turned->x, $turned->y, $this->facing - $other->facing);
    }

    /** How far it is turned from where it began, by the shorter way: over -180 to 180 degrees, clockwise positive. */
    public function turned(): float
    {
        return self::shorterWay($this->facing);
    }

    /** The same facing, over -180 to 180 degrees. Pure. */
    public static function shorterWay(float $degrees): float
    {
        $rest = fmod($degrees, 360.0);

        return $rest > 180.0 ? $rest - 360.0 : ($rest <= -180.0 ? $rest + 360.0 : $rest);
    }

    /** As a teacher sees it who faces the class and mirrors it. */
    public function mirrored(): self
    {
        return new self(0.0 - $this->x, $this->y, 0.0 - $this->facing);
    }
}
