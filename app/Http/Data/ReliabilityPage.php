<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\Reliability;
use stdClass;

/** Whether the forecasts of the school were true, as it reads recall now. */
final readonly class ReliabilityPage
{
    /**
     * @param  ReliabilityData|null  $school  null while it was never worked out
     * @param  list<GroupReliability>  $groups
     * @param  FactorChange|null  $change  null while there are too few tests
     * @param  float|null  $adopted  the factor by which recall is read
     * @param  bool  $isBeingMeasured  what is shown is from before something changed
     */
    public function __construct(
        public ?ReliabilityData $school,
        public array $groups,
        public ?float $adopted,
        public ?FactorChange $change,
        public int $enough,
        public bool $isBeingMeasured,
    ) {
    }

    /** @param  stdClass|null  $kept  as it was last worked out */
    public static function of(?stdClass $kept, ?float $adopted, bool $isBeingMeasured): self
    {
        return new self(
            $kept === null ? null : ReliabilityData::of($kept->school),
            array_values(array_map(static fn (stdClass $one): GroupReliability => new GroupReliability($one->id, $one->name, ReliabilityData::of($one->of)), $kept->groups ?? [])),
            $adopted,
            isset($kept->change) ? new FactorChange($kept->change->factor, ReliabilityData::of($kept->change->after), $kept->change->holdsBefore, $kept->change->holdsAfter) : null,
            Reliability::ENOUGH,
            $isBeingMeasured,
        );
    }
}
