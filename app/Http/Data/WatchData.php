<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\WatchReason;

/** Somebody to look at, in what, and why. */
final readonly class WatchData
{
    /**
     * @param  int|null  $since  meetings they came to since they were last marked; null for never marked
     * @param  float|null  $recall  mean over the passage, of what they have met of it
     * @param  int  $away  classes that were held since they were last there
     */
    public function __construct(
        public string $studentId,
        public string $courseId,
        public PassageData $passage,
        public WatchReason $why,
        public ?int $since,
        public ?float $recall,
        public int $away,
    ) {
    }
}
