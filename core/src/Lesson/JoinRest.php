<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\CutPin;

/** The join after an entry: how good it is to stop at, 0..1, and what the teacher has said about cutting there. */
final readonly class JoinRest
{
    public function __construct(public int $after, public float $rest, public ?CutPin $pin)
    {
    }
}
