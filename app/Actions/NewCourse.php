<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Form;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\SaidPace;
use Gorvan\Core\Term\Showing;

/** A course as it is asked for when a term is laid: ends of its target, and what is kept alive, by the ids in the form. */
final readonly class NewCourse
{
    /** @param  list<list<string>>  $keeps  passages that are kept alive */
    public function __construct(
        public Form $form,
        public Approach $approach,
        public float $share = 1.0,
        public ?string $firstEntry = null,
        public ?string $lastEntry = null,
        public ?float $lessonLoad = null,
        public ?int $lessonCount = null,
        public ?Showing $showing = null,
        public ?SaidPace $pace = null,
        public ?bool $spread = null,
        public array $keeps = [],
        public int $reserve = 1,
        public bool $looksBack = true,
        public bool $takesLessons = true,
    ) {
    }

    /** Whether it takes its form's own lessons as they are, where the form has some and no size of its own was asked for. */
    public function takes(): bool
    {
        return $this->takesLessons && $this->lessonLoad === null && $this->lessonCount === null;
    }

    /** @return array<string, mixed> columns of the course: how it is taught */
    public function taught(): array
    {
        return [
            'pace' => Course::paceColumn($this->pace),
            'spread' => $this->spread,
            'keeps' => $this->keeps === [] ? null : $this->keeps,
            'reserve' => $this->reserve,
            'looks_back' => $this->looksBack,
            'cut' => ['lessons' => [], 'of_form' => $this->takes()],
        ];
    }
}
