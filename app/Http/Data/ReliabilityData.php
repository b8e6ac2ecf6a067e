<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;
use stdClass;

/** Whether forecasts were true. */
#[OA\Schema]
final readonly class ReliabilityData
{
    /**
     * @param  list<ReliabilityTenthData>  $tenths  the lowest first
     */
    public function __construct(
        #[OA\Property]
        public int $tests,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReliabilityTenthData::class))]
        public array $tenths,
        #[OA\Property]
        public ?float $logLoss,
        #[OA\Property]
        public ?float $brier,
        #[OA\Property]
        public ?float $predicted,
        #[OA\Property]
        public ?float $observed,
    ) {
    }

    /** @param  stdClass  $of  as it was kept */
    public static function of(stdClass $of): self
    {
        return new self($of->tests, array_values(array_map(static fn (stdClass $one): ReliabilityTenthData => new ReliabilityTenthData($one->tenth, $one->tests, $one->predicted, $one->observed), $of->tenths)), $of->logLoss, $of->brier, $of->predicted, $of->observed);
    }
}
