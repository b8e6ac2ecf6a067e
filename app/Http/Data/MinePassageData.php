<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** A passage to practise with its breaths and its way over the floor. */
#[OA\Schema]
final readonly class MinePassageData
{
    /**
     * @param  list<BeatData>  $beats
     * @param  list<FootingData>  $path  in steps, from where it begins
     * @param  list<string>  $entryIds  rows, to be sent back with a note
     */
    public function __construct(
        #[OA\Property]
        public SheetPassageData $passage,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BeatData::class))]
        public array $beats,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FootingData::class))]
        public array $path,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $entryIds,
    ) {
    }
}
