<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Group;
use App\Models\Term;
use Gorvan\Core\Term\NextTerm;
use Gorvan\Core\Term\WeeklyMeeting;
use OpenApi\Attributes as OA;

/** How a term would begin that nobody has said anything of yet. */
#[OA\Schema]
final readonly class NextTermData
{
    /** @param  list<array{weekday: string, at: string, minutes: int}>  $pattern */
    private function __construct(
        #[OA\Property(description: 'whose it is; null where there is no group')]
        public ?string $group,
        #[OA\Property(description: 'the term it follows')]
        public ?string $after,
        #[OA\Property]
        public ?string $afterTitle,
        #[OA\Property]
        public string $from,
        #[OA\Property]
        public string $to,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/NewMeetingRow'))]
        public array $pattern,
        #[OA\Property(enum: ['outline', 'piece', 'sides', 'whole'])]
        public string $approach,
        #[OA\Property(description: 'movements an evening, as the term before says it')]
        public ?float $saidMovements,
        #[OA\Property(description: 'minutes a simple movement takes, as the term before says it')]
        public ?float $saidMinutes,
        #[OA\Property]
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
            array_map(static fn (WeeklyMeeting $one): array => ['weekday' => $one->weekday->value, 'at' => $one->at, 'minutes' => $one->minutes], $next->pattern),
            $next->approach->value,
            $course?->said()?->movements,
            $course?->said()?->minutes,
            $course?->spread,
        );
    }
}
