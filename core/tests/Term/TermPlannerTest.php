<?php

declare(strict_types=1);

use Gorvan\Core\Care\Joint;
use Gorvan\Core\Care\WarmUp;
use Gorvan\Core\Care\WarmUpKind;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\SideStretches;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\BoxesTooLong;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\ExpectedStudent;
use Gorvan\Core\Term\KnownEntry;
use Gorvan\Core\Term\LessonKind;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\MeetingPins;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\PlannedLesson;
use Gorvan\Core\Term\PlannedReview;
use Gorvan\Core\Term\ReviewChooser;
use Gorvan\Core\Term\Showing;
use Gorvan\Core\Term\TermMeeting;
use Gorvan\Core\Term\TermPlan;
use Gorvan\Core\Term\TermPlanner;
use Gorvan\Core\Term\TermRequest;
use Gorvan\Core\Term\WarmUpOutset;
use Gorvan\Core\Tests\Said;

function evenForm(int $count, array $extras = []): Form
{
    return new Form('T', array_map(fn (int $at) => new Entry("e$at", in_array($at, $extras, true) ? EntryKind::Extra : EntryKind::Movement, "E$at", number: $at), range(1, $count)));
}

function courseOf(Form $form, string $id = 'c', float $share = 1.0, Approach $approach = Approach::PieceByPiece, ?Showing $showing = null, ?int $rhythm = null): Course
{
    return new Course($id, $form, new Passage(1, $form->count()), $approach, $share, showing: $showing, rhythm: $rhythm);
}

/**
 * @param  array<int, int>  $gaps  days before a meeting, where not 7
 * @param  array<int, MeetingPins>  $pins
 * @return list<TermMeeting>
 */
function weeks(int $meetings, int $minutes = 75, array $gaps = [], int $held = 0, array $pins = []): array
{
    $day = Day::number('2026-01-06');
    $all = [];
    for ($at = 0; $at < $meetings; $at++) {
        $day += $at === 0 ? 0 : ($gaps[$at] ?? 7);
        $all[] = new TermMeeting(Day::text($day), $minutes, $at >= $held, $pins[$at] ?? new MeetingPins);
    }

    return $all;
}

/**
 * @param  list<TermMeeting>  $meetings
 * @param  array<string, mixed>  $outset
 */
function laid(array $meetings, Course $course, float $target = 3.0, array $outset = []): TermPlan
{
    return (new TermPlanner)->plan(new TermRequest('seed', $meetings, [new CourseOutset(...['course' => $course, 'cut' => (new LessonCutter)->cut($course->form, $target), 'taught' => [], 'students' => [], ...$outset])]));
}

/** What the first course of a meeting says. */
function part(MeetingPlan $meeting): CoursePlan
{
    return $meeting->courses[0];
}

/** @return list<list<int|null>> numbers of the lessons, meeting by meeting */
function lessonNumbers(TermPlan $plan): array
{
    return array_values(array_map(fn (MeetingPlan $one) => array_map(fn (PlannedLesson $lesson) => $lesson->number, part($one)->lessons()), $plan->meetings));
}

/** @return list<string> codes of why */
function whys(TermPlan $plan): array
{
    return array_values(array_map(fn (MeetingPlan $one) => substr((string) part($one)->why?->code, strlen('plan.why.')), $plan->meetings));
}

test('lessons go in order; after three in a row an evening brings nothing new; the last sixth is kept free', function () {
    $plan = laid(weeks(12), courseOf(evenForm(40)));
    expect(array_merge(...lessonNumbers($plan)))->toBe(range(1, count(array_merge(...lessonNumbers($plan)))))
        ->and(array_slice(whys($plan), -2))->toBe(['reserve', 'reserve'])
        ->and(whys($plan)[0])->toBe('first')->and(whys($plan))->toContain('rhythm');
    $row = 0;
    foreach (lessonNumbers($plan) as $lessons) {
        $row = $lessons === [] ? 0 : $row + count($lessons);
        expect($row)->toBeLessThanOrEqual(3);
    }
    expect(Said::all($plan->warnings))->toContain('of 40');
});

test('a term of one meeting has no reserve, and teaches', function () {
    expect(laid(weeks(1), courseOf(evenForm(8)))->meetings[0]->kind)->toBe(MeetingKind::Lesson);
    foreach (Approach::cases() as $approach) {
        expect(lessonNumbers(laid(weeks(1), courseOf(evenForm(8), approach: $approach)))[0])->not->toBe([]);
    }
});

test('the first evening after a break brings nothing new (common practice: after two weeks without class)', function () {
    expect(whys(laid(weeks(12, gaps: [2 => 21]), courseOf(evenForm(40))))[2])->toBe('break')
        ->and(whys(laid(weeks(12, gaps: [2 => 14]), courseOf(evenForm(40))))[2])->not->toBe('break')
        ->and(whys(laid(weeks(12, gaps: [1 => 15, 2 => 15, 3 => 15, 4 => 15, 5 => 15]), courseOf(evenForm(40))))[2])->toBe('break') // longer than 14, and than half as much again as 7
        ->and(whys(laid(weeks(12, gaps: array_fill(1, 11, 15)), courseOf(evenForm(40)))))->not->toContain('break'); // but not where 15 are usual
});

test('a class that recalls too little of the last lesson is held back, with the numbers, and goes on once it recalls more', function () {
    $weak = new ExpectedStudent('s', 1.0, 1.0, array_fill_keys(range(1, 3), new KnownEntry(new MemoryState(0.1, 9.0), Day::number('2025-12-30'))));
    $plan = laid(weeks(12), courseOf(evenForm(20)), outset: ['taught' => [1, 2, 3], 'students' => [$weak], 'lastLesson' => new Passage(1, 3)]);
    expect(whys($plan)[0])->toBe('gate')->and(part($plan->meetings[0])->why?->with['recall'])->toBeLessThan(65)
        ->and(Said::all([part($plan->meetings[0])->why]))->toContain('65 % are wanted')
        ->and(array_merge(...lessonNumbers($plan)))->not->toBe([]);
    $few = laid(weeks(12), courseOf(evenForm(20)), outset: ['taught' => [1, 2, 3], 'students' => [$weak, new ExpectedStudent('t', 1.0), new ExpectedStudent('u', 1.0)], 'lastLesson' => new Passage(1, 3)]);
    expect(whys($few)[0])->toBe('few_met');
});

test('new material comes with its recap, from what was taught before it', function () {
    foreach (laid(weeks(12), courseOf(evenForm(40)))->meetings as $at => $meeting) {
        $lesson = part($meeting)->lesson;
        if ($lesson !== null && $at > 0) {
            expect((int) substr(array_reverse(part($meeting)->recap)[0], 1))->toBe((int) substr($lesson->entries[0], 1) - 1);
        }
    }
});

test('every minute of every meeting is in a box, and review fills its own to the minute', function () {
    foreach ([20, 45, 60, 75, 90, 120] as $minutes) {
        foreach (Approach::cases() as $approach) {
            foreach (laid(weeks(10, $minutes), courseOf(evenForm(30), approach: $approach))->meetings as $at => $meeting) {
                $used = array_sum(array_map(fn (PlannedReview $one) => $one->minutes, part($meeting)->review));
                expect(array_sum($meeting->boxes))->toBe($minutes)->and($used)->toBeLessThanOrEqual($meeting->boxes['review'] + 1e-9);
                if ($approach !== Approach::SidesThenJoined) {
                    expect($meeting->boxes['review'] - $used)->toBeLessThan(1.0, "$minutes minutes, meeting $at");
                }
            }
        }
    }
});

test('what review leaves over is spent in its order, and said', function () {
    $first = laid(weeks(12), courseOf(evenForm(40)), 2.0)->meetings[0];
    expect(Said::all($first->notes))->toContain('second lesson')->toContain('slower new work');
    expect(Said::all(laid(weeks(12), courseOf(evenForm(40)), 2.0)->meetings[2]->notes))->toContain('more passes');
});

test('a second lesson keeps within the cap of new load, and each course within its share', function () {
    foreach ([1.0, 1.5, 2.0, 2.6, 4.0] as $target) {
        $cut = (new LessonCutter)->cut(evenForm(40), $target);
        foreach (laid(weeks(12, 120), courseOf(evenForm(40)), $target)->meetings as $meeting) {
            $load = array_sum(array_map(fn (PlannedLesson $one) => $cut->lessons[$one->number - 1]->load, part($meeting)->lessons()));
            expect(count(part($meeting)->lessons()) < 2 || $load <= max(5.0, 2 * $cut->target) + 1e-9)->toBeTrue();
        }
    }
});

test('an outline gives every lesson it begins twice, the second time in detail, before the reserve', function () {
    $plan = laid(weeks(20), courseOf(evenForm(60), approach: Approach::OutlineFirst), 4.0);
    $kinds = [];
    foreach ($plan->meetings as $at => $meeting) {
        foreach (part($meeting)->lessons() as $lesson) {
            $kinds[$lesson->kind->value][] = $lesson->number;
            expect($at)->toBeLessThan(17);
        }
    }
    expect($kinds['new'])->toBe($kinds['detail'])->and($kinds['new'])->toBe(range(1, count($kinds['new'])));
});

test('an outline that was begun goes on: what was given once is given in detail, what was given twice is done', function () {
    $cut = (new LessonCutter)->cut(evenForm(20), 4.0);
    $given = range(1, $cut->lessons[1]->to);
    $plan = laid(weeks(12), courseOf(evenForm(20), approach: Approach::OutlineFirst), 4.0, ['taught' => $given, 'detailed' => range(1, $cut->lessons[0]->to)]);
    $all = array_merge(...array_map(fn ($one) => array_map(fn (PlannedLesson $lesson) => "{$lesson->kind->value} $lesson->number", part($one)->lessons()), $plan->meetings));
    expect($all)->toContain('detail 2')->not->toContain('detail 1')->not->toContain('new 1')->not->toContain('new 2');
});

/** Ten movements: five, and the same five on the other side. */
function twoSided(): Form
{
    $entries = array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at", mirrors: $at > 5 ? 'e'.($at - 5) : null), range(1, 10));

    return new Form('T', [...$entries, ...array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at"), range(11, 16))]);
}

test('sides are cut apart where a stretch comes back on the other side, and every two lessons are joined', function () {
    expect(SideStretches::of(twoSided()))->toEqual([[new Passage(1, 5), new Passage(6, 10)]])
        ->and(array_keys(SideStretches::cuts(twoSided(), new Passage(1, 16))))->toBe([5, 10])
        ->and(SideStretches::of(evenForm(20)))->toBe([]);
    $course = courseOf(twoSided(), approach: Approach::SidesThenJoined);
    $cut = $course->cut(new LessonCutter, [75], []);
    expect(array_map(fn ($lesson) => $lesson->to, $cut->lessons))->toContain(5)->toContain(10);
    $plan = laid(weeks(12), $course, outset: ['cut' => $cut]);
    $joins = array_values(array_filter($plan->meetings, fn ($one) => array_filter(part($one)->lessons(), fn (PlannedLesson $lesson) => $lesson->kind === LessonKind::Join) !== []));
    expect($joins)->not->toBe([])->and(part($joins[0])->given())->toBe([])->and($joins[0]->boxes['new'])->toBe(0)
        ->and(Said::all(laid(weeks(12), courseOf(evenForm(20), approach: Approach::SidesThenJoined))->warnings))->toContain('both sides are taught inside each lesson');
});

test('meetings held stay as they were and the plan goes on after what was taught', function () {
    $plan = laid(weeks(12, held: 1), courseOf(evenForm(40)), outset: ['taught' => [1, 2, 3], 'lastLesson' => new Passage(1, 3)]);
    expect(array_keys($plan->meetings))->toBe(range(1, 11))->and(part($plan->meetings[1])->lesson?->entries[0] ?? 'e4')->toBe('e4');
});

test('a part of a lesson that was left out is what is given next', function () {
    $plan = laid(weeks(6), courseOf(evenForm(12)), 3.6, ['taught' => [1, 2], 'lastLesson' => new Passage(1, 2), 'students' => [new ExpectedStudent('s', 1.0, 1.0, array_fill_keys([1, 2], new KnownEntry(new MemoryState(30.0, 5.0), Day::number('2026-01-01'))))]]);
    expect(part($plan->meetings[0])->lesson?->entries[0])->toBe('e3')->and(part($plan->meetings[0])->lesson?->number)->toBe(1);
});

test('extras count for nothing: not taught, not reviewed, not run through, no lead-in', function () {
    foreach (laid(weeks(12), courseOf(evenForm(12, [2, 5, 6])))->meetings as $meeting) {
        foreach ([part($meeting)->recap, part($meeting)->runThrough, ...array_map(fn ($one) => $one->entries, [...part($meeting)->review, ...part($meeting)->lessons()])] as $ids) {
            expect(array_intersect($ids, ['e2', 'e5', 'e6']))->toBe([]);
        }
    }
});

test('two courses go side by side, each in its share, and neither takes the other’s minutes', function () {
    [$long, $short] = [evenForm(40), evenForm(9)];
    $plan = (new TermPlanner)->plan(new TermRequest('s', weeks(12), [
        new CourseOutset(courseOf($long, 'long', 0.7), (new LessonCutter)->cut($long, 2.0), [], []),
        new CourseOutset(courseOf($short, 'short', 0.3), (new LessonCutter)->cut($short, 1.0), [], []),
    ]));
    foreach ($plan->meetings as $meeting) {
        expect(array_sum($meeting->boxes))->toBe(75)->and(array_map(fn ($one) => $one->course, $meeting->courses))->toBe(['long', 'short']);
    }
    expect(Said::all($plan->warnings))->toContain('T: ')->and($plan->courses[0]->movements)->toBeGreaterThan($plan->courses[1]->movements);
});

test('the same request gives the same plan; another seed draws others', function () {
    $json = fn (TermPlan $plan) => array_map(fn ($one) => $one->json(), $plan->meetings);
    $request = fn (string $seed) => new TermRequest($seed, weeks(8), [new CourseOutset(courseOf(evenForm(20)), (new LessonCutter)->cut(evenForm(20), 3.0), [], [])]);
    expect($json((new TermPlanner)->plan($request('a'))))->toBe($json((new TermPlanner)->plan($request('a'))))->not->toBe($json((new TermPlanner)->plan($request('b'))));
});

test('who usually comes is drawn more often, and what nobody trusts is forecast lower', function () {
    $class = fn (float $comes, float $trust) => ['students' => [new ExpectedStudent('s', $comes, $trust), new ExpectedStudent('t', $comes, $trust)]];
    $expected = fn (float $comes, float $trust) => laid(weeks(10), courseOf(evenForm(12), rhythm: 0), outset: $class($comes, $trust))->expected();
    expect($expected(1.0, 1.0))->toBeGreaterThan($expected(0.7, 1.0))->and($expected(1.0, 1.0))->toBeGreaterThan($expected(1.0, 0.5));
});

test('students who know the same are still planned each by their own trust', function () {
    $know = fn () => new KnownEntry(new MemoryState(9.0, 5.0), Day::number('2026-01-01'));
    $one = $know();
    $class = fn (callable $known) => ['taught' => range(1, 5), 'students' => array_map(fn (int $n) => new ExpectedStudent("s$n", 0.85, [0.25, 1.25][$n % 2], array_combine(range(1, 5), array_map($known, range(1, 5)))), range(1, 6))];
    $json = fn (array $outset) => array_map(fn ($meeting) => $meeting->json(), laid(weeks(8), courseOf(evenForm(20)), outset: $outset)->meetings);
    expect($json($class(fn () => $one)))->toBe($json($class($know)));
});

test('what the teacher fixed is kept: nothing new, a lesson on its evening, a box, the reserve', function () {
    $course = courseOf(evenForm(40));
    $free = laid(weeks(12), $course);
    $nothing = laid(weeks(12, pins: [0 => new MeetingPins(nothingNew: true)]), $course);
    expect(lessonNumbers($nothing)[0])->toBe([])->and(whys($nothing)[0])->toBe('nothing_new')->and(lessonNumbers($nothing)[1][0])->toBe(1);
    $late = laid(weeks(12, pins: [6 => new MeetingPins(lessons: ['c' => 2])]), $course);
    expect(lessonNumbers($late)[6])->toContain(2)->and(array_merge(...array_slice(lessonNumbers($late), 0, 6)))->toBe([1])->and(whys($late)[5])->toBe('waits_for_pin');
    $soon = laid(weeks(12, pins: [3 => new MeetingPins(lessons: ['c' => 4])]), $course);
    expect(lessonNumbers($soon)[3])->toContain(4)->and(array_merge(...array_slice(lessonNumbers($soon), 0, 3)))->toBe([1, 2, 3]); // over the rhythm, for the teacher's hand wins
    $box = laid(weeks(12, pins: [2 => new MeetingPins(boxes: ['warm_up' => 25, 'close' => 2])]), $course)->meetings[2];
    expect([$box->boxes['warm_up'], $box->boxes['close'], array_sum($box->boxes)])->toBe([25, 2, 75]);
    expect(lessonNumbers($free)[11])->toBe([])->and(lessonNumbers(laid(weeks(12, pins: [11 => new MeetingPins(spendsReserve: true)]), $course))[11])->not->toBe([]);
    expect(fn () => laid(weeks(2, pins: [0 => new MeetingPins(boxes: ['warm_up' => 80])]), $course))->toThrow(BoxesTooLong::class);
});

test('a passage the teacher takes out of a review stays out, and one put in is there', function () {
    $plan = laid(weeks(8), courseOf(evenForm(20)));
    $reviewed = part($plan->meetings[4])->review[0]->entries;
    $out = laid(weeks(8, pins: [4 => new MeetingPins(without: ['c' => $reviewed], with: ['c' => [['e2']]])]), courseOf(evenForm(20)));
    $entries = array_merge(...array_map(fn ($one) => $one->entries, part($out->meetings[4])->review));
    expect($reviewed)->not->toBe([])->and(array_intersect($entries, array_diff($reviewed, ['e2'])))->toBe([])->and($entries)->toContain('e2');
});

test('a lesson that cannot come where it is pinned is said', function () {
    $plan = laid(weeks(4, pins: [0 => new MeetingPins(lessons: ['c' => 9])]), courseOf(evenForm(40)));
    expect(Said::all($plan->warnings))->toContain('Lesson 9 is pinned to 2026-01-06');
});

test('a lesson too long for an evening comes in parts, each with its fifth left for review, and the plan says so', function () {
    $plan = laid(weeks(12, 30), courseOf(evenForm(20)), 4.8);
    $given = array_merge(...array_map(fn ($one) => part($one)->given(), $plan->meetings));
    expect(whys($plan)[0])->toBe('in_part')->and($given)->toBe(array_map(fn (int $at) => "e$at", range(1, count($given))))->and(count($given))->toBeGreaterThan(6)
        ->and(Said::all($plan->warnings))->toContain('would fit');
    foreach ($plan->meetings as $meeting) {
        expect(part($meeting)->lesson === null || $meeting->boxes['new'] <= 19 - 4)->toBeTrue();
    }
});

test('before a showing the same reserve is kept, and the forecast is made for its day', function () {
    $course = courseOf(evenForm(40), showing: new Showing('2026-02-24', 'e6'));
    $plan = laid(weeks(16), $course);
    expect(array_slice(whys($plan), 6, 2))->toBe(['reserve', 'reserve'])->and(whys($plan)[8])->not->toBe('reserve')
        ->and($plan->courses[0]->day)->toBe(Day::number('2026-02-24'))
        ->and($plan->courses[0]->showing?->mean)->toBeGreaterThan(0.8);
    $early = laid(weeks(16), courseOf(evenForm(40), showing: new Showing('2026-02-24', 'e30')));
    expect(Said::all($early->warnings))->toContain('At the showing on 2026-02-24 the passage does not hold yet');
});

test('every passage of a review says what it is worth, and the choice is the best there is', function () {
    $plan = laid(weeks(12), courseOf(evenForm(40)));
    foreach ($plan->meetings as $at => $meeting) {
        $choice = (new ReviewChooser)->choose($plan->reviews[$at][0]);
        expect(array_sum(array_map(fn (PlannedReview $one) => $one->why['value'], part($meeting)->review)))->toEqualWithDelta($choice->value(), 1e-3);
        foreach (part($meeting)->review as $one) {
            expect($one->why['with'])->toBeGreaterThanOrEqual($one->why['without'])->and($one->passes)->toBeGreaterThanOrEqual(3)->toBeLessThanOrEqual(6);
        }
    }
});

test('the run-through begins where the section begins, or as far back as its minutes allow', function () {
    $form = new Form('T', evenForm(40)->entries, [new Section('One', 1, 20), new Section('Two', 21, 40)]);
    foreach (laid(weeks(20), courseOf($form))->meetings as $meeting) {
        $lesson = part($meeting)->lessons()[0] ?? null;
        if ($lesson !== null && (int) substr($lesson->entries[0], 1) > 20 && ! str_contains(Said::all($meeting->notes), 'longer run-through')) {
            expect((int) substr(part($meeting)->runThrough[0], 1))->toBeGreaterThanOrEqual(21);
        }
    }
});

test('a school that reads recall longer expects more of the same term, and one that reads it as it comes plans the very same', function () {
    $plan = fn (float $reading) => laid(weeks(10), courseOf(evenForm(30)), outset: ['reading' => $reading]);
    expect(json_encode($plan(1.0)->meetings))->toBe(json_encode(laid(weeks(10), courseOf(evenForm(30)))->meetings))
        ->and($plan(2.0)->expected())->toBeGreaterThan($plan(1.0)->expected())
        ->and($plan(0.25)->expected())->toBeLessThan($plan(1.0)->expected());
});

test('every open meeting gets its warm-up, by what it loads and within its box, and a term without a list gets none', function () {
    $form = new Form('T', array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at", number: $at, joints: $at > 6 ? [Joint::Neck] : [Joint::Wrist]), range(1, 12)));
    $course = courseOf($form);
    $list = new WarmUpList([
        new WarmUp('shake', 'Shake', WarmUpKind::General, 2.0),
        new WarmUp('necks', 'Necks', WarmUpKind::Joint, 1.0, [Joint::Neck]),
        new WarmUp('wrists', 'Wrists', WarmUpKind::Joint, 1.0, [Joint::Wrist]),
    ]);
    $request = fn (?WarmUpOutset $warmUps) => new TermRequest('seed', weeks(5, held: 1), [new CourseOutset($course, (new LessonCutter)->cut($form, 3.0), [], [])], null, $warmUps);
    $plan = (new TermPlanner)->plan($request(new WarmUpOutset($list, ['c' => $form])));
    expect(array_keys($plan->meetings))->toBe([1, 2, 3, 4]);
    foreach ($plan->meetings as $meeting) {
        $entries = $meeting->courses[0]->entries();
        $loads = fn (string ...$ids) => array_intersect($entries, $ids) !== [];
        expect($meeting->warmUp[0])->toBe('shake')
            ->and(in_array('wrists', $meeting->warmUp, true))->toBe($loads('e1', 'e2', 'e3', 'e4', 'e5', 'e6'))
            ->and(in_array('necks', $meeting->warmUp, true))->toBe($loads('e7', 'e8', 'e9', 'e10', 'e11', 'e12'));
    }
    expect((new TermPlanner)->plan($request(null))->meetings[1]->warmUp)->toBe([]);
});
