<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\School;
use Gorvan\Core\Care\WarmUpList;

/** The school’s warm-ups, in their order. */
final readonly class WarmUpListData
{
    /**
     * @param  list<WarmUpData>  $items
     * @param  bool  $isOwn  false for those that come with the application
     */
    public function __construct(
        public int $version,
        public bool $isOwn,
        public array $items,
        public int $most,
    ) {
    }

    public static function of(School $school): self
    {
        return new self($school->warm_ups_version, $school->warm_ups !== null, array_map(WarmUpData::of(...), $school->warmUps()->items), WarmUpList::MOST);
    }
}
