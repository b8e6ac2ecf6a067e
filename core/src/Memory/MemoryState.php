<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

/** What the model keeps of one student's memory of one entry: stability in days, difficulty 1..10. */
final readonly class MemoryState
{
    public function __construct(public float $stability, public float $difficulty)
    {
    }
}
