<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Term\StopFocus;

/** Where a class is stopped to look at it, and what for. */
final readonly class StopData
{
    /** @param  string|null  $principle  of tonight, in place of a question of common practice */
    public function __construct(
        public string $courseId,
        public int $position,
        public ?StopFocus $focus,
        public ?string $principle,
    ) {
    }
}
