<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** What was predicted between one tenth and the next, and what was seen of it. */
final readonly class ReliabilityTenth
{
    /** @param  int  $tenth  0 for 0..10 %, 9 for 90..100 % */
    public function __construct(public int $tenth, public int $tests, public float $predicted, public float $observed)
    {
    }
}
