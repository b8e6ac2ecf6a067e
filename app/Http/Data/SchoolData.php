<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\School;
use OpenApi\Attributes as OA;

/** The school someone is signed in to. */
#[OA\Schema]
final readonly class SchoolData
{
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $timezone,
        #[OA\Property]
        public string $today,
        #[OA\Property]
        public bool $isDemo,
        #[OA\Property]
        public string $locale,
    ) {
    }

    public static function of(School $school, string $today): self
    {
        return new self($school->id, $school->name, $school->timezone, $today, $school->is_demo, $school->locale->value);
    }
}
