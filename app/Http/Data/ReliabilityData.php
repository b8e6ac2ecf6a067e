<?php

declare(strict_types=1);

namespace App\Http\Data;

use stdClass;

/** Whether forecasts were true. */
final readonly class ReliabilityData
{
    /**
     * @param  list<ReliabilityTenthData>  $tenths  the lowest first
     */
    public function __construct(
        public int $tests,
        public array $tenths,
        public ?float $logLoss,
        public ?float $brier,
        public ?float $predicted,
        public ?float $observed,
    ) {
    }

    /** @param  stdClass  $of  as it was kept */
    public static function of(stdClass $of): self
    {
        return new self($of->tests, array_values(array_map(static fn (stdClass $one): ReliabilityTenthData => new ReliabilityTenthData($one->tenth, $one->tests, $one->predicted, $one->observed), $of->tenths)), $of->logLoss, $of->brier, $of->predicted, $of->observed);
    }
}
