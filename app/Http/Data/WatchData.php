<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Somebody to look at, in what, and why. */
#[OA\Schema]
final readonly class WatchData
{
    /**
     * @param  int|null  $since  meetings they came to since they were last marked; null for never marked
     * @param  float|null  $recall  mean over the passage, of what they have met of it
     * @param  int  $away  classes that were held since they were last there
     */
    public function __construct(
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public PassageData $passage,
        #[OA\Property(enum: ['back', 'never_marked', 'long_unseen', 'unsure'])]
        public string $why,
        #[OA\Property]
        public ?int $since,
        #[OA\Property]
        public ?float $recall,
        #[OA\Property]
        public int $away,
    ) {
    }
}
