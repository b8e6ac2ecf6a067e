<?php

declare(strict_types=1);

namespace Gorvan\Core\Floor;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\OutOfRange;

/** A room and who moves in it. Lengths in metres; the front is the wall at the far end of the depth. */
final readonly class Room
{
    /** Both *default*: a step, and the clear width a person with stretched arms needs. */
    public const STEP = 0.6;

    public const ARM_SPAN = 1.8;

    public const MOST_STUDENTS = 120;

    /** @throws BadInput when a measure cannot be */
    public function __construct(public float $width, public float $depth, public int $students = 1, public float $step = self::STEP, public float $armSpan = self::ARM_SPAN)
    {
        foreach (['width' => [$width, 1.0, 200.0], 'depth' => [$depth, 1.0, 200.0], 'step' => [$step, 0.1, 2.0], 'arm_span' => [$armSpan, 0.5, 3.0]] as $name => [$value, $least, $most]) {
            if (! ($value >= $least && $value <= $most)) {
                throw OutOfRange::metres($name, $least, $most);
            }
        }
        if ($students < 1 || $students > self::MOST_STUDENTS) {
            throw OutOfRange::students(self::MOST_STUDENTS);
        }
    }
}
