<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\School;
use App\Models\SchoolLocale;

/** The school someone is signed in to. */
final readonly class SchoolData
{
    public function __construct(
        public string $id,
        public string $name,
        public string $timezone,
        public string $today,
        public bool $isDemo,
        public SchoolLocale $locale,
    ) {
    }

    public static function of(School $school, string $today): self
    {
        return new self($school->id, $school->name, $school->timezone, $today, $school->is_demo, $school->locale);
    }
}
