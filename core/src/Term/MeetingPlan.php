<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\NotAllowed;
use stdClass;

/**
 * What a meeting is meant to hold, `gorvan.plan/2` (a plan of `/1` is read as well): read and written here and nowhere else. What it did hold is a
 * {@see \Gorvan\Core\Record\ClassLog}.
 */
final readonly class MeetingPlan
{
    public const FORMAT = 'gorvan.plan/2';

    /** What plans were before parts could have names of their own. */
    public const BEFORE = 'gorvan.plan/1';

    public const KEYS = ['format', 'on', 'minutes', 'kind', 'parts', 'focus', 'warm_up', 'courses', 'pins', 'notes'];

    /**
     * @param  string  $on  day `Y-m-d`
     * @param  array<string, int>  $boxes  whole minutes by the name of the {@see Box}, in order
     * @param  list<CoursePlan>  $courses
     * @param  list<Message>  $notes  what does not fit, where spare minutes went
     * @param  list<PlannedFocus>  $focus  the principles of the meeting
     * @param  list<string>  $warmUp  ids of the school's warm-ups
     * @param  list<mixed>  $pins  what the teacher fixed, as JSON data
     * @param  array<string, mixed>  $others
     */
    public function __construct(
        public string $on,
        public int $minutes,
        public MeetingKind $kind,
        public array $boxes,
        public array $courses,
        public array $notes = [],
        public array $focus = [],
        public array $warmUp = [],
        public array $pins = [],
        public array $others = [],
    ) {
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(JsonNode $node): self
    {
        $format = $node->required('format');
        $isBefore = $format->text() === self::BEFORE;
        if ($format->text() !== self::FORMAT && ! $isBefore) {
            throw NotAllowed::format($format->path, self::FORMAT);
        }
        $boxes = [];
        foreach ($node->required($isBefore ? 'boxes' : 'parts')->items() as $box) {
            $boxes[$box->required('kind')->oneOf(Box::class)->value] = $box->required('minutes')->whole(0, 1440);
        }
        $listed = static fn (string $key): array => array_map(static fn (JsonNode $one): mixed => $one->value, $node->optional($key)?->items() ?? []);

        return new self(
            Instant::day($node->required('on')),
            $node->required('minutes')->whole(1, 1440),
            $node->optional('kind')?->oneOf(MeetingKind::class) ?? MeetingKind::Consolidation,
            $boxes,
            Fields::each($node->optional('courses'), CoursePlan::read(...)),
            array_map(Message::read(...), $node->optional('notes')?->items() ?? []),
            Fields::each($node->optional('focus'), PlannedFocus::read(...)),
            Fields::ids($node->optional('warm_up')),
            $listed('pins'),
            $node->others($isBefore ? [...self::KEYS, 'boxes'] : self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::beside([
            'format' => self::FORMAT,
            'on' => $this->on,
            'minutes' => $this->minutes,
            'kind' => $this->kind->value,
            'parts' => array_map(static fn (string $box, int $minutes): array => ['id' => $box, 'kind' => $box, 'minutes' => $minutes], array_keys($this->boxes), $this->boxes),
            'focus' => array_map(static fn (PlannedFocus $focus): stdClass => $focus->toData(), $this->focus),
            'warm_up' => $this->warmUp,
            'courses' => array_map(static fn (CoursePlan $course): stdClass => $course->toData(), $this->courses),
            'pins' => $this->pins,
            'notes' => array_map(static fn (Message $note): array => $note->toData(), $this->notes),
        ], $this->others);
    }

    public function json(): string
    {
        return json_encode($this->toData(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @param  list<PlannedFocus>  $focus */
    public function withFocus(array $focus): self
    {
        return new self($this->on, $this->minutes, $this->kind, $this->boxes, $this->courses, $this->notes, $focus, $this->warmUp, $this->pins, $this->others);
    }

    /** @param  list<string>  $warmUp */
    public function withWarmUp(array $warmUp): self
    {
        return new self($this->on, $this->minutes, $this->kind, $this->boxes, $this->courses, $this->notes, $this->focus, $warmUp, $this->pins, $this->others);
    }

    /** @param  list<CoursePlan>  $courses */
    public function withCourses(array $courses): self
    {
        return new self($this->on, $this->minutes, $this->kind, $this->boxes, $courses, $this->notes, $this->focus, $this->warmUp, $this->pins, $this->others);
    }

    /** @return array<string, list<string>> every entry of it, by course */
    public function entries(): array
    {
        $entries = [];
        foreach ($this->courses as $course) {
            $entries[$course->course] = $course->entries();
        }

        return $entries;
    }

    public function course(string $id): ?CoursePlan
    {
        foreach ($this->courses as $course) {
            if ($course->course === $id) {
                return $course;
            }
        }

        return null;
    }
}
