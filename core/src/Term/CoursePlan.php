<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** What a meeting is meant to hold of one course. Entries by id, so that a change of the form shifts nothing. */
final readonly class CoursePlan implements Written
{
    public const KEYS = ['course', 'lesson', 'recap', 'review', 'run_through', 'forecast'];

    /**
     * @param  list<string>  $recap  what leads into the lesson
     * @param  list<PlannedReview>  $review
     * @param  list<string>  $runThrough
     * @param  array<string, mixed>  $others
     */
    public function __construct(
        public string $course,
        public ?PlannedLesson $lesson,
        public array $recap,
        public array $review,
        public array $runThrough,
        public ?Forecast $forecast = null,
        public array $others = [],
    ) {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        $lesson = $node->optional('lesson');
        $forecast = $node->optional('forecast');

        return new self(
            $node->required('course')->text(Fields::SHORT),
            $lesson === null ? null : PlannedLesson::read($lesson),
            Fields::ids($node->optional('recap')),
            Fields::each($node->optional('review'), PlannedReview::read(...)),
            Fields::ids($node->optional('run_through')),
            $forecast === null ? null : Forecast::read($forecast),
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written([
            'course' => $this->course,
            'lesson' => $this->lesson?->toData(),
            'recap' => $this->recap,
            'review' => array_map(static fn (PlannedReview $review): stdClass => $review->toData(), $this->review),
            'run_through' => $this->runThrough,
            'forecast' => $this->forecast?->toData(),
        ], $this->others);
    }

    /**
     * Every entry of it, whatever is done with it.
     *
     * @return list<string>
     */
    public function entries(): array
    {
        return array_values(array_unique(array_merge(
            $this->lesson->entries ?? [],
            $this->recap,
            $this->runThrough,
            ...array_map(static fn (PlannedReview $review): array => $review->entries, $this->review),
        )));
    }
}
