<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\SchoolLocale;

/** All that a student sees behind their link: their own, and nothing of anybody else. */
final readonly class MineData
{
    /**
     * @param  list<MineWeekData>  $weeks  a group each
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $school,
        public string $today,
        public SchoolLocale $locale,
        public array $weeks,
        public HomeNotesData $notes,
    ) {
    }
}
