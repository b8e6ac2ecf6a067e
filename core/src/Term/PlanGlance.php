<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\JsonNode;

/**
 * As much of a kept plan as a season line shows: its kind, and which lesson it gives of a course. Read without the rest, for a
 * term has many of them; {@see MeetingPlan} is the one that reads a plan whole.
 */
final readonly class PlanGlance
{
    /**
     * @param  list<int>  $lessonNumbers  of the lessons that are given, or of which some is
     * @param  int  $courses  how many the meeting has
     */
    private function __construct(public ?MeetingKind $kind, public array $lessonNumbers, public int $courses)
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function at(string $json, string $course): self
    {
        $root = JsonNode::parse($json);
        $lessons = [];
        $parts = $root->optional('courses')?->items() ?? [];
        foreach ($parts as $part) {
            if ($part->required('course')->text() === $course) {
                $first = $part->optional('lesson');
                $lessons = array_map(PlannedLesson::read(...), [...($first === null ? [] : [$first]), ...($part->optional('further')?->items() ?? [])]);
            }
        }
        $given = array_values(array_filter($lessons, static fn (PlannedLesson $lesson): bool => $lesson->kind !== LessonKind::Join));

        return new self(
            $root->optional('kind')?->oneOf(MeetingKind::class),
            self::numbers($given),
            count($parts),
        );
    }

    /**
     * @param  list<PlannedLesson>  $lessons
     * @return list<int> each once, in order
     */
    public static function numbers(array $lessons): array
    {
        return array_values(array_unique(array_filter(array_map(static fn (PlannedLesson $lesson): ?int => $lesson->number, $lessons), is_int(...))));
    }
}
