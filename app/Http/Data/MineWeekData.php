<?php

declare(strict_types=1);

namespace App\Http\Data;

/** The week of one group. */
final readonly class MineWeekData
{
    /**
     * @param  list<string>  $days
     * @param  list<HomeFocusData>  $focus
     * @param  list<MinePassageData>  $passages
     * @param  list<MineFormData>  $forms
     */
    public function __construct(
        public string $group,
        public string $on,
        public string $next,
        public array $days,
        public float $minutes,
        public array $focus,
        public array $passages,
        public array $forms,
    ) {
    }
}
