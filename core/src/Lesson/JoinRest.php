<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\CutPin;

/** The join after an entry: how good it is to stop at, 0..1, and what the teacher has said about cutting there. */
final readonly class JoinRest
{
    /** From here on a join is good to stop at, and to begin a recap from (engine 4). */
    private const GOOD = 0.6;

    public function __construct(public int $after, public float $rest, public ?CutPin $pin)
    {
    }

    public function isGood(): bool
    {
        return $this->rest >= self::GOOD;
    }
}
