<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\Reliability;
use Gorvan\Core\Standing\ReliabilityTenth;
use OpenApi\Attributes as OA;

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

    public static function of(Reliability $of): self
    {
        return new self($of->tests, array_map(static fn (ReliabilityTenth $one): ReliabilityTenthData => new ReliabilityTenthData($one->tenth, $one->tests, $one->predicted, $one->observed), $of->tenths), $of->logLoss, $of->brier, $of->predicted, $of->observed);
    }
}
