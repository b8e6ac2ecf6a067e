<?php

declare(strict_types=1);

namespace App\Lessons\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Lesson\LessonSize;

/** The size of lessons: how many, their load, movements or minutes, and what a good place to stop weighs. */
final readonly class SentSize implements Sent
{
    public function __construct(
        #[Rules('gt:0', 'max:1000', 'prohibits:{path}count,{path}minutes')]
        public ?float $load = null,
        #[Rules('min:1', 'max:600', 'prohibits:{path}minutes')]
        public ?int $count = null,
        public ?float $minutes = null,
        public ?float $minutesPerLoad = null,
        #[Rules('prohibits:{path}load,{path}count,{path}minutes,{path}minutesPerLoad')]
        public ?float $movements = null,
        public ?float $lambda = null,
    ) {
    }

    /** @throws \Gorvan\Core\Lesson\CutImpossible */
    public function size(): LessonSize
    {
        return new LessonSize($this->load, $this->count, $this->minutes, $this->minutesPerLoad, $this->lambda, $this->movements);
    }

    /**
     * Null where nothing of a size is said.
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function tried(): ?LessonSize
    {
        return array_filter(get_object_vars($this), static fn (int|float|null $one): bool => $one !== null) === [] ? null : $this->size();
    }
}
