<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\HomeWeek;
use Gorvan\Core\Practice\Particular;
use OpenApi\Attributes as OA;

/** One entry that one student does otherwise. */
#[OA\Schema]
final readonly class ParticularData
{
    public function __construct(
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public SheetEntryData $entry,
        #[OA\Property]
        public bool $isMet,
        #[OA\Property]
        public bool $isLeftOut,
    ) {
    }

    public static function of(Particular $one, HomeWeek $week): self
    {
        return new self($one->course, SheetEntryData::of($one->entry, $week->forms[$one->course]->form), $one->isMet, $one->entry->care->isLeftOut);
    }
}
