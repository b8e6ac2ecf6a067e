<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\Content\LeadUps;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;

/** The term file of `gorvan:plan` (docs/formats/commands.md): a term, and a class of invented students who start with nothing. */
final readonly class PlanFile
{
    public const SEED = 'gorvan';

    private const KEYS = ['from', 'to', 'timezone', 'pattern', 'closures', 'seed', 'attendance', 'target', 'showing', 'lesson_target', 'pace', 'rhythm', 'spread', 'reserve', 'look_back', 'known', 'keep', 'courses', 'turns', 'order'];

    private const COURSE_KEYS = ['target', 'keep', 'known', 'approach', 'pace', 'share', 'showing'];

    private const MOST_COURSES = 6;

    /** What was known before is taught a week before the first meeting (engine 9). Days. */
    private const BEFORE = 7;

    /**
     * @param  non-empty-list<Course>  $courses
     * @param  list<list<int>>  $known  positions taught before, by course
     * @param  list<int>  $turns
     * @param  list<\Gorvan\Core\Reading\Message>  $warnings
     */
    private function __construct(
        public TermDates $dates,
        public array $courses,
        private array $known,
        public array $turns,
        public string $seed,
        public float $attendance,
        public array $warnings,
        public ?RunningOrder $order = null,
    ) {
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(string $json, Form $form, Approach $approach): self
    {
        $root = JsonNode::parse($json);
        $term = (new TermReader)->readNode($root, self::KEYS);
        $dates = TermDates::of($term);
        $minutes = $dates->minutes();
        $many = $root->optional('courses');
        $nodes = $many === null ? [$root] : $many->itemsAtMost(self::MOST_COURSES);
        $courses = $known = $warnings = [];
        $order = $root->optional('order') === null ? null : RunningOrder::read($root->optional('order'))->withoutFocus();
        foreach ($nodes === [] ? [$root] : $nodes as $n => $node) {
            array_push($warnings, ...($node === $root ? [] : $node->unknown(self::COURSE_KEYS)));
            $keeps = self::passages($node->optional('keep'), $form);
            $known[] = array_merge([], ...array_map(static fn (Passage $one): array => $one->positions(), [...self::passages($node->optional('known'), $form), ...$keeps]));
            $lessonTarget = $root->optional('lesson_target');
            $course = new Course(
                $many === null ? 'course' : "course $n",
                $form,
                self::target($node->optional('target'), $form),
                $node->optional('approach')?->oneOf(Approach::class) ?? $approach,
                $node === $root ? 1.0 : $node->optional('share')?->number(0.01, 1) ?? 1.0,
                size: new LessonSize($lessonTarget?->number(0.01, 1000)),
                showing: self::showing($node->optional('showing'), $form, $term),
                rhythm: $root->optional('rhythm')?->whole(0, 99),
                said: $node->optional('pace') === null ? null : SaidPace::read($node->optional('pace')),
                spread: $root->optional('spread')?->bool(),
                reserve: $root->optional('reserve')?->whole(0, Course::MOST_RESERVE) ?? 1,
                looksBack: $root->optional('look_back')?->bool() ?? true,
                keeps: array_map($form->idsOf(...), $keeps),
                takesLessons: $lessonTarget === null,
            );
            $courses[] = $course->paced($minutes, $known[$n], $order);
        }
        $turns = Fields::each($root->optional('turns'), static fn (JsonNode $one): int => $one->whole(0, count($courses) - 1));

        return new self(
            $dates,
            $courses,
            $known,
            // Whoever takes turns has the whole of each of its evenings.
            $turns,
            $root->optional('seed')?->text(Fields::SHORT) ?? self::SEED,
            $root->optional('attendance')?->number(0, 1) ?? ExpectedStudent::USUALLY_COMES,
            [...$dates->warnings, ...$warnings],
            $order,
        );
    }

    /**
     * The lessons of a course.
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function cut(LessonCutter $cutter, int $course = 0): LessonCut
    {
        return $this->courses[$course]->cut($cutter, $this->dates->minutes(), $this->known[$course]);
    }

    /**
     * @param  int  $students  1 or more
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible
     */
    public function request(LessonCutter $cutter, int $students): TermRequest
    {
        $meetings = self::meetings($this->dates->meetings);
        $before = ($meetings === [] ? 0 : Day::number($meetings[0]->on)) - self::BEFORE;
        $state = (new MemoryModel)->first(Evidence::knownBefore());

        return new TermRequest($this->seed, $meetings, array_map(fn (Course $course, int $n): CourseOutset => new CourseOutset(
            $course,
            $this->cut($cutter, $n),
            $this->known[$n],
            array_map(fn (ExpectedStudent $one): ExpectedStudent => new ExpectedStudent($one->id, $one->comes, $one->trust, array_fill_keys($this->known[$n], new KnownEntry($state, $before))), ExpectedStudent::invented($students, $this->attendance)),
            learned: $this->known[$n],
            leadUps: LeadUps::toHand($course->form, [])[0],
        ), $this->courses, array_keys($this->courses)), turns: $this->turns, order: $this->order);
    }

    /** @return list<Passage> */
    private static function passages(?JsonNode $node, Form $form): array
    {
        return array_map(static fn (JsonNode $one): Passage => self::target($one, $form), $node?->items() ?? []);
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
