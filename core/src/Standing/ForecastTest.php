<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Memory\MemoryModel;

/** One test of a forecast (engine 19): what was seen, and what had been predicted of what one tap marked. */
final readonly class ForecastTest
{
    /**
     * @param  float  $observed  1 alone or better, a half cued, 0 following
     * @param  non-empty-list<float>  $ages  days since the last contact by the stability it left, of each entry of the tap
     */
    public function __construct(public float $observed, public array $ages)
    {
    }

    /** The mean of the recalls that were predicted, read as R(t, k x S). @param  float  $factor  k */
    public function predicted(MemoryModel $model, float $factor = 1.0): float
    {
        return array_sum(array_map(static fn (float $age): float => $model->recallAt($age / $factor), $this->ages)) / count($this->ages);
    }
}
