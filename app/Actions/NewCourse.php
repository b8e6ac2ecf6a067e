<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Showing;

/** A course as it is asked for when a term is laid; ends of its target by the id in the form, null for the form's own. */
final readonly class NewCourse
{
    public function __construct(
        public Form $form,
        public Approach $approach,
        public float $share = 1.0,
        public ?string $firstEntry = null,
        public ?string $lastEntry = null,
        public ?float $lessonLoad = null,
        public ?int $lessonCount = null,
        public ?Showing $showing = null,
    ) {
    }
}
