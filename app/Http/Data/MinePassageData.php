<?php

declare(strict_types=1);

namespace App\Http\Data;

/** A passage to practise with its breaths and its way over the floor. */
final readonly class MinePassageData
{
    /**
     * @param  list<BeatData>  $beats
     * @param  list<FootingData>  $path  in steps, from where it begins
     * @param  list<string>  $entryIds  rows, to be sent back with a note
     */
    public function __construct(
        public SheetPassageData $passage,
        public array $beats,
        public array $path,
        public array $entryIds,
    ) {
    }
}
