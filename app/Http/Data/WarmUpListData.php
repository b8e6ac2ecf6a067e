<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\School;
use Gorvan\Core\Care\WarmUpList;
use OpenApi\Attributes as OA;

/** The school’s warm-ups, in their order. */
#[OA\Schema]
final readonly class WarmUpListData
{
    /**
     * @param  list<WarmUpData>  $items
     */
    public function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(description: 'false for those that come with the application')]
        public bool $isOwn,
        #[OA\Property(type: 'array', items: new OA\Items(ref: WarmUpData::class))]
        public array $items,
        #[OA\Property]
        public int $most,
    ) {
    }

    public static function of(School $school): self
    {
        return new self($school->warm_ups_version, $school->warm_ups !== null, array_map(WarmUpData::of(...), $school->warmUps()->items), WarmUpList::MOST);
    }
}
