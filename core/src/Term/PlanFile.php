<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;

/** The term file of `gorvan:plan` (docs/formats/commands.md): a term, and a class of invented students who start with nothing. */
final readonly class PlanFile
{
    public const SEED = 'gorvan';

    private const KEYS = ['from', 'to', 'timezone', 'pattern', 'closures', 'seed', 'attendance', 'target', 'showing', 'lesson_target'];

    /** @param  list<\Gorvan\Core\Reading\Message>  $warnings */
    private function __construct(
        public TermDates $dates,
        public Course $course,
        public string $seed,
        public float $attendance,
        public array $warnings,
    ) {
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(string $json, Form $form, Approach $approach): self
    {
        $root = JsonNode::parse($json);
        $term = (new TermReader)->readNode($root, self::KEYS);
        $dates = TermDates::of($term);
        $lessonTarget = $root->optional('lesson_target');

        return new self(
            $dates,
            new Course(
                'course',
                $form,
                self::target($root->optional('target'), $form),
                $approach,
                size: new LessonSize($lessonTarget?->number(0.01, 1000)),
                showing: self::showing($root->optional('showing'), $form, $term),
            ),
            $root->optional('seed')?->text(Fields::SHORT) ?? self::SEED,
            $root->optional('attendance')?->number(0, 1) ?? ExpectedStudent::USUALLY_COMES,
            $dates->warnings,
        );
    }

    /** @throws \Gorvan\Core\Lesson\CutImpossible */
    public function cut(LessonCutter $cutter): LessonCut
    {
        $minutes = array_map(static fn (MeetingDate $date): int => $date->minutes, $this->dates->meetings);

        return $this->course->cut($cutter, $minutes === [] ? [60] : $minutes, []);
    }

    /** @param  int  $students  1 or more */
    public function request(LessonCut $cut, int $students): TermRequest
    {
        return new TermRequest(
            $this->seed,
            self::meetings($this->dates->meetings),
            [new CourseOutset($this->course, $cut, [], ExpectedStudent::invented($students, $this->attendance))],
        );
    }

    /**
     * The dates as meetings of a plan.
     *
     * @param  list<MeetingDate>  $dates
     * @return list<TermMeeting>
     */
    private static function meetings(array $dates): array
    {
        return array_map(static fn (MeetingDate $date, int $at): TermMeeting => new TermMeeting($date->on, $date->minutes, key: TermMeeting::keyOf($date->on, $date->starts->format('H:i'), $at > 0 && $dates[$at - 1]->on === $date->on)), $dates, array_keys($dates));
    }

    private static function target(?JsonNode $node, Form $form): Passage
    {
        if ($node === null) {
            return new Passage(1, $form->count());
        }
        $ends = array_map(static fn (JsonNode $one): int => $one->whole(1, $form->count()), $node->itemsAtMost(2));
        if (count($ends) !== 2 || $ends[1] < $ends[0]) {
            throw Contradiction::passage($node->path);
        }

        return new Passage($ends[0], $ends[1]);
    }

    private static function showing(?JsonNode $node, Form $form, Term $term): ?Showing
    {
        if ($node === null) {
            return null;
        }
        $on = Instant::day($node->required('on'));
        if ($on < $term->from || $on > $term->to) {
            throw Contradiction::showingOutside("$node->path.on", $on, $term->from, $term->to);
        }

        return new Showing($on, $form->at($node->required('to')->whole(1, $form->count()))->id);
    }
}
