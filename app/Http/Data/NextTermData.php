<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Group;
use App\Models\Term;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\NextTerm;
use Gorvan\Core\Term\WeeklyMeeting;

/** How a term would begin that nobody has said anything of yet. */
final readonly class NextTermData
{
    /**
     * @param  list<WeeklyMeeting>  $pattern
     * @param  string|null  $group  whose it is; null where there is no group
     * @param  string|null  $after  the term it follows
     * @param  float|null  $saidMovements  movements an evening, as the term before says it
     * @param  float|null  $saidMinutes  minutes a simple movement takes, as the term before says it
     */
    private function __construct(
        public ?string $group,
        public ?string $after,
        public ?string $afterTitle,
        public string $from,
        public string $to,
        public array $pattern,
        public Approach $approach,
        public ?float $saidMovements,
        public ?float $saidMinutes,
        public ?bool $spread,
    ) {
    }

    public static function of(?Group $group, ?Term $after, NextTerm $next): self
    {
        $course = $after?->courses->first();

        return new self(
            $group?->id,
            $after?->id,
            $after?->title,
            $next->from,
            $next->to,
            $next->pattern,
            $next->approach,
            $course?->said()?->movements,
            $course?->said()?->minutes,
            $course?->spread,
        );
    }
}
