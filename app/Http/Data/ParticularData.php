<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Actions\HomeWeek;
use Gorvan\Core\Practice\Particular;

/** One entry that one student does otherwise. */
final readonly class ParticularData
{
    public function __construct(
        public string $courseId,
        public SheetEntryData $entry,
        public bool $isMet,
        public bool $isLeftOut,
    ) {
    }

    public static function of(Particular $one, HomeWeek $week): self
    {
        return new self($one->course, SheetEntryData::of($one->entry, $week->forms[$one->course]->form), $one->isMet, $one->entry->care->isLeftOut);
    }
}
