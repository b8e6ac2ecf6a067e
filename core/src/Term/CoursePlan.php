<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\Written;
use Gorvan\Core\Record\RunOrder;
use stdClass;

/** What a meeting is meant to hold of one course. Entries by id, so that a change of the form shifts nothing. */
final readonly class CoursePlan implements Written
{
    public const KEYS = ['course', 'lesson', 'further', 'recap', 'review', 'run_through', 'shown', 'forecast', 'why'];

    /**
     * @param  list<string>  $recap  what leads into the lesson
     * @param  list<PlannedReview>  $review
     * @param  list<string>  $runThrough  in the order in which it is gone through
     * @param  Message|null  $why  why this lesson, or why none
     * @param  list<PlannedLesson>  $further  lessons beside the first, where the minutes allow
     * @param  int  $times  how often the run-through goes round
     * @param  list<string>  $shown  what of the run-through is only followed along, for it is not taught yet
     * @param  array<string, mixed>  $others
     */
    public function __construct(
        public string $course,
        public ?PlannedLesson $lesson,
        public array $recap,
        public array $review,
        public array $runThrough,
        public ?Forecast $forecast = null,
        public ?Message $why = null,
        public array $further = [],
        public array $others = [],
        public int $times = 1,
        public RunOrder $order = RunOrder::AsWritten,
        public array $shown = [],
    ) {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        $lesson = $node->optional('lesson');
        $forecast = $node->optional('forecast');
        $why = $node->optional('why');
        $run = PlannedRun::read($node->optional('run_through'));

        return new self(
            $node->required('course')->text(Fields::SHORT),
            $lesson === null ? null : PlannedLesson::read($lesson),
            Fields::ids($node->optional('recap')),
            Fields::each($node->optional('review'), PlannedReview::read(...)),
            $run->entries,
            $forecast === null ? null : Forecast::read($forecast),
            $why === null ? null : Message::read($why),
            Fields::each($node->optional('further'), PlannedLesson::read(...)),
            $node->others(self::KEYS),
            $run->times,
            $run->order,
            Fields::ids($node->optional('shown')),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written([
            'course' => $this->course,
            'lesson' => $this->lesson?->toData(),
            'further' => array_map(static fn (PlannedLesson $lesson): stdClass => $lesson->toData(), $this->further),
            'recap' => $this->recap,
            'review' => array_map(static fn (PlannedReview $review): stdClass => $review->toData(), $this->review),
            'run_through' => $this->runThrough === [] ? null : $this->run()->toData(),
            'shown' => $this->shown,
            'forecast' => $this->forecast?->toData(),
            'why' => $this->why?->toData(),
        ], $this->others);
    }

    /** @param  list<PlannedLesson>  $lessons */
    public function withLessons(array $lessons): self
    {
        return new self($this->course, $lessons[0] ?? null, $this->recap, $this->review, $this->runThrough, $this->forecast, $this->why, array_slice($lessons, 1), $this->others, $this->times, $this->order, $this->shown);
    }

    public function run(): PlannedRun
    {
        return new PlannedRun($this->runThrough, $this->times, $this->order);
    }

    /** @return list<PlannedLesson> all of the meeting's, in order */
    public function lessons(): array
    {
        return $this->lesson === null ? $this->further : [$this->lesson, ...$this->further];
    }

    /** @return list<string> what is given as a lesson; what is only joined was given before */
    public function given(): array
    {
        return array_merge([], ...array_map(static fn (PlannedLesson $lesson): array => $lesson->kind === LessonKind::Join ? [] : $lesson->entries, $this->lessons()));
    }

    /**
     * What of it a box holds, each entry once; the recap leads into what is new.
     *
     * @return list<string>
     */
    public function inBox(Box $box): array
    {
        return array_values(array_unique(match ($box) {
            Box::Review => array_merge([], ...array_map(static fn (PlannedReview $review): array => $review->entries, $this->review)),
            Box::New => array_merge($this->recap, ...array_map(static fn (PlannedLesson $lesson): array => $lesson->entries, $this->lessons())),
            Box::RunThrough => $this->runThrough,
            default => [],
        }));
    }

    /**
     * Every entry of it, whatever is done with it.
     *
     * @return list<string>
     */
    public function entries(): array
    {
        return array_values(array_unique([...$this->inBox(Box::New), ...$this->inBox(Box::RunThrough), ...$this->inBox(Box::Review)]));
    }
}
