<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Side;

/** The history of one movement: its recall, day by day, and every contact on it. */
final readonly class RecallCurveData
{
    /**
     * @param  list<RecallPointData>  $points  by day
     * @param  list<RecallContactData>  $contacts  in order
     */
    public function __construct(
        public int $position,
        public ?Side $side,
        public array $points,
        public array $contacts,
    ) {
    }
}
