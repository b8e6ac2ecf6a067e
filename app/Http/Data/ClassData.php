<?php

declare(strict_types=1);

namespace App\Http\Data;

/** What a device needs to run a class, beside its plan and its people. */
final readonly class ClassData
{
    /**
     * @param  list<ClassCardsData>  $cards  by course
     * @param  list<WatchData>  $watch  everyone worth looking at, the most needed first
     * @param  int  $shown  how many of them are named at once
     * @param  list<StopData>  $stops  where the class may be stopped, draw by draw
     * @param  list<StoodData>  $stood  where everyone stands in the other forms; in the first the page of the meeting says it
     * @param  list<PartnerData>  $partners  drills for two that can be done, tonight's first
     */
    public function __construct(
        public array $cards,
        public array $watch,
        public int $shown,
        public array $stops,
        public array $stood,
        public array $partners,
    ) {
    }
}
