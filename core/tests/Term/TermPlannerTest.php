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
use Gorvan\Core\Form\Repetition;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Lesson\Content\LeadUps;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\SideStretches;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Record\RunOrder;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Change\PlanCosts;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\CourseForecast;
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
use Gorvan\Core\Term\SaidPace;
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

test('lessons go in order, an evening after the other, and the last of a term looks back', function () {
    $plan = laid(weeks(12), courseOf(evenForm(40)));
    expect(array_merge(...lessonNumbers($plan)))->toBe(range(1, count(array_merge(...lessonNumbers($plan)))))
        ->and(whys($plan)[0])->toBe('first')->and(whys($plan))->not->toContain('rhythm')
        ->and($plan->meetings[11]->kind)->toBe(MeetingKind::LookBack)->and(lessonNumbers($plan)[11])->toBe([])
        ->and(count(array_filter(lessonNumbers($plan))))->toBe(11);
    expect(Said::all($plan->warnings))->toContain('of 40')
        ->and(lessonNumbers(laid(weeks(12), courseOf(evenForm(40))->with(['looksBack' => false])))[11])->not->toBe([])
        ->and(laid(weeks(5), courseOf(evenForm(40)))->meetings[4]->kind)->toBe(MeetingKind::Lesson); // five evenings are none to look back on
});

test('a rhythm is kept where it is asked for, counted in lessons and parts', function () {
    $row = 0;
    foreach (lessonNumbers(laid(weeks(20), courseOf(evenForm(60), rhythm: 3))) as $lessons) {
        $row = $lessons === [] ? 0 : $row + count($lessons);
        expect($row)->toBeLessThanOrEqual(3);
    }
    expect(whys(laid(weeks(20), courseOf(evenForm(60), rhythm: 3))))->toContain('rhythm');
});

test('lessons that would be over early lie evenly over the term, unless somebody says otherwise', function () {
    $numbers = fn (Course $course) => array_map('count', lessonNumbers(laid(weeks(20), $course)));
    $last = fn (array $counts) => max(array_keys(array_filter($counts)));
    $own = $numbers(courseOf(evenForm(24)));
    expect($last($own))->toBeGreaterThan(14)->and($last($numbers(courseOf(evenForm(24))->with(['spread' => false]))))->toBeLessThan(11)
        ->and($last($numbers(courseOf(evenForm(24))->with(['said' => SaidPace::movements(2.5)]))))->toBeLessThan(11)
        ->and($last($numbers(courseOf(evenForm(24))->with(['said' => SaidPace::movements(2.5), 'spread' => true]))))->toBeGreaterThan(14);
    // However few lessons there are, nobody waits for the next for longer than two evenings.
    foreach (array_slice(array_keys(array_filter($own)), 1) as $n => $at) {
        expect($at - array_keys(array_filter($own))[$n])->toBeLessThanOrEqual(3);
    }
});

test('what is said first is what the pace comes to', function () {
    $says = fn (int $meetings, int $movements) => Said::all([laid(weeks($meetings), courseOf(evenForm($movements)))->courses[0]->says]);
    expect($says(12, 24))->toBe('At 2 to 3 movements an evening you are through on 2026-03-10; 2 evenings remain.')
        ->and($says(12, 40))->toBe('The end by 2026-03-24 needs 3.6 movements an evening; this group takes 2 to 3 movements.')
        ->and($says(12, 72))->toMatch('/^At 2 to 3 movements an evening the term comes to movement \\d+ of 72; the rest takes about \\d+ evenings more\\.$/');
    // What is said first is not said a second time as a warning.
    expect(Said::all(laid(weeks(12), courseOf(evenForm(72)))->warnings))->not->toContain('left for the next term');
});

test('a term of one meeting has no reserve, and teaches', function () {
    expect(laid(weeks(1), courseOf(evenForm(8)))->meetings[0]->kind)->toBe(MeetingKind::Lesson);
    foreach (Approach::cases() as $approach) {
        expect(lessonNumbers(laid(weeks(1), courseOf(evenForm(8), approach: $approach)))[0])->not->toBe([]);
    }
});

test('the evening before a break brings nothing new, and the one after it goes on (common practice: nothing is begun that nobody can go on with)', function () {
    expect(array_slice(whys(laid(weeks(12, gaps: [3 => 21]), courseOf(evenForm(40)))), 2, 2))->toBe(['before_break', 'ready'])
        ->and(whys(laid(weeks(12, gaps: [3 => 14]), courseOf(evenForm(40)))))->not->toContain('before_break')
        ->and(whys(laid(weeks(12, gaps: [2 => 15, 3 => 15, 4 => 15]), courseOf(evenForm(40))))[2])->toBe('before_break') // longer than 14, and than half as much again as 7
        ->and(whys(laid(weeks(12, gaps: array_fill(1, 11, 15)), courseOf(evenForm(40)))))->not->toContain('before_break') // but not where 15 are usual
        ->and(whys(laid(weeks(12, gaps: [1 => 21]), courseOf(evenForm(40))))[0])->toBe('first'); // nothing is taught yet that could be joined up
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
    expect(Said::all($first->notes))->toContain('can go slower')->toContain('minutes are open')->and($first->boxes['new'])->toBe(2 * 14); // twice its minutes while fewer than three lessons are taught
    $third = laid(weeks(12), courseOf(evenForm(40)), 3.6)->meetings[3];
    expect(Said::all($third->notes))->toContain('more passes')->toContain('2 times through');
    foreach (laid(weeks(12), courseOf(evenForm(40)))->meetings as $at => $meeting) {
        expect($meeting->boxes['run_through'])->toBeLessThanOrEqual(intdiv(75, 4))->and(part($meeting)->times)->toBeLessThanOrEqual(2)->and($meeting->boxes)->not->toHaveKey('focus');
    }
});

test('what stands behind a review is what the class has before it, not after', function () {
    foreach (laid(weeks(12), courseOf(evenForm(40)))->meetings as $meeting) {
        foreach (part($meeting)->review as $one) {
            expect($one->why['recall'])->toBeLessThan(0.99)->and($one->passes <= 3 || $one->why['recall'] < 0.85)->toBeTrue();
        }
    }
});

test('an evening takes further lessons while they bring it nearer to its load, and each course within its share', function () {
    foreach ([1.0, 1.5, 2.0, 2.6, 4.0] as $target) {
        $cut = (new LessonCutter)->cut(evenForm(40), $target);
        $course = courseOf(evenForm(40))->paced([120]); // 5 of load an evening
        foreach (laid(weeks(12, 120), $course, $target)->meetings as $meeting) {
            $loads = array_map(fn (PlannedLesson $one) => $cut->lessons[$one->number - 1]->load, part($meeting)->lessons());
            expect($loads === [] || array_sum($loads) <= 1.25 * 5.0 + 1e-9)->toBeTrue()->and($target > 2.6 || count($loads) !== 1 || $meeting === null || part($meeting)->lessons()[0]->number >= count($cut->lessons) - 1)->toBeTrue();
        }
    }
});

test('an outline goes to the end of its target in rough shape, and then as far as it comes in detail', function () {
    $plan = laid(weeks(20), courseOf(evenForm(60), approach: Approach::OutlineFirst), 4.0);
    $kinds = [];
    foreach ($plan->meetings as $at => $meeting) {
        foreach (part($meeting)->lessons() as $lesson) {
            $kinds[$lesson->kind->value][] = $lesson->number;
            expect($lesson->kind)->not->toBe($kinds === [] ? LessonKind::Detail : LessonKind::Fresh);
        }
    }
    expect($kinds['rough'])->toBe(range(1, 18))->and($kinds['detail'])->toBe(range(1, count($kinds['detail'])))
        ->and(array_key_first($kinds))->toBe('rough')->and($plan->courses[0]->left)->toBe([])->and($plan->courses[0]->undetailed)->not->toBe([])
        ->and(Said::all($plan->warnings))->toContain('in rough shape only');
    // What comes before a change does not move when a later evening changes.
    $other = laid(weeks(20, pins: [15 => new MeetingPins(nothingNew: true)]), courseOf(evenForm(60), approach: Approach::OutlineFirst)->with(['spread' => false]), 4.0);
    $same = laid(weeks(20), courseOf(evenForm(60), approach: Approach::OutlineFirst)->with(['spread' => false]), 4.0);
    expect(array_slice(lessonNumbers($other), 0, 15))->toBe(array_slice(lessonNumbers($same), 0, 15));
});

test('an outline that was begun goes on: what was given once is given in detail, what was given twice is done', function () {
    $cut = (new LessonCutter)->cut(evenForm(20), 4.0);
    $given = range(1, $cut->lessons[1]->to);
    $plan = laid(weeks(12), courseOf(evenForm(20), approach: Approach::OutlineFirst), 4.0, ['taught' => $given, 'detailed' => range(1, $cut->lessons[0]->to)]);
    $all = array_merge(...array_map(fn ($one) => array_map(fn (PlannedLesson $lesson) => "{$lesson->kind->value} $lesson->number", part($one)->lessons()), $plan->meetings));
    expect($all)->toContain('detail 2')->not->toContain('detail 1')->not->toContain('rough 1')->not->toContain('rough 2');
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
    $plan = laid(weeks(12), $course->paced([75]), outset: ['cut' => $cut]);
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

test('what leads up to tonight’s movements, and partner work from them, comes before their questions where minutes are open', function () {
    $form = evenForm(12);
    $entries = [$form->at(1)->with(['drills' => ['Bow step at the wall']]), ...array_slice($form->entries, 1)];
    $written = [
        WrittenLesson::read(JsonNode::parse('{"id":"l","kind":"new","entries":["e1"],"drills":[{"id":"d","title":"Weight to the heel","parent":"e1"},{"id":"x","title":"Not tonight","parent":"e12"}],"partner":{"entry":"e2","steps":[{"id":"s","title":"Contact"}]}}')),
    ];
    [$leadUps, $partners] = LeadUps::toHand($form->with(['entries' => $entries]), $written);
    expect($leadUps)->toBe(['e1' => ['Bow step at the wall', 'Weight to the heel'], 'e12' => ['Not tonight']])->and($partners)->toBe(['e2']);
    $first = function (array $with) use ($form): string {
        $course = courseOf($form)->paced([180]);
        $outset = new CourseOutset($course, $course->cut(new LessonCutter, [180], []), [], ExpectedStudent::invented(), ...$with);

        return Said::all((new TermPlanner)->plan(new TermRequest('s', weeks(4, 180), [$outset]))->meetings[0]->notes);
    };
    expect($first([]))->toContain('minutes are open: to go round and correct')
        ->and($first(['leadUps' => $leadUps]))->toContain('minutes are open: lead-ups (Bow step at the wall, Weight to the heel); then their questions.')->not->toContain('Not tonight')->not->toContain('go round')
        ->and($first(['partners' => $partners]))->toContain('partner work from E2; then their questions')
        ->and($first(['leadUps' => $leadUps, 'partners' => $partners]))->toContain('Weight to the heel), partner work from E2;');
});

test('extras count for nothing: not taught, not reviewed, not run through, no lead-in', function () {
    $form = evenForm(12, [2, 5, 6]);
    foreach ([...laid(weeks(12), courseOf($form))->meetings, ...laid(weeks(12), courseOf($form, approach: Approach::SidesThenJoined))->meetings] as $meeting) {
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
    expect(Said::all($plan->meetings[0]->notes))->toContain('T: ')->and($plan->courses[0]->movements)->toBeGreaterThan($plan->courses[1]->movements);
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

test('of a course of which the term gives nothing, no movement 0 is said, and it is said once', function () {
    $none = array_fill(0, 4, new MeetingPins(nothingNew: true));
    $plan = laid(weeks(4, pins: $none), courseOf(evenForm(40)));
    expect($plan->courses[0]->reach)->toBeNull()->and($plan->courses[0]->says?->code)->toBe('pace.no_evening')
        ->and(Said::all($plan->warnings))->not->toContain('movement 0')->not->toContain('no evening');
});

test('movements that are picked are reviewed one by one, in the order of the form; what is not known by then, or has no room, is said', function () {
    $pins = fn (string ...$entries): MeetingPins => new MeetingPins(picked: ['c' => $entries]);
    $plan = laid(weeks(12, pins: [6 => $pins('e5', 'e1', 'e39')]), courseOf(evenForm(40)))->meetings[6];
    $picked = array_values(array_filter(part($plan)->review, fn (PlannedReview $one): bool => ($one->why['picked'] ?? false) === true));
    $others = array_merge(...array_map(fn (PlannedReview $one): array => ($one->why['picked'] ?? false) === true ? [] : $one->entries, part($plan)->review));
    expect(array_map(fn (PlannedReview $one): array => [$one->entries, $one->passes, $one->minutes], $picked))->toBe([[['e1'], 3, 2.25], [['e5'], 3, 2.25]]) // 3 x 12 s and setting up, rounded up to quarters each
        ->and(array_intersect($others, ['e1', 'e5']))->toBe([])->and(Said::all($plan->notes))->toContain('E39 is not taught by then');
    $all = $pins(...array_map(fn (int $at): string => "e$at", range(1, 14)));
    $full = laid(weeks(12, 45, pins: [10 => $all]), courseOf(evenForm(40)))->meetings[10];
    $minutes = array_sum(array_map(fn (PlannedReview $one): float => $one->minutes, part($full)->review));
    expect($minutes)->toBeLessThanOrEqual($full->boxes['review'])->and(Said::all($full->notes))->toContain('No minutes are left to review');
});

test('who of the class is far from it is named, by whole movements, and comes through the file', function () {
    $known = fn (array $positions) => array_fill_keys($positions, new KnownEntry(new MemoryState(60.0, 5.0), Day::number('2026-01-01')));
    $students = [new ExpectedStudent('often', 1.0), new ExpectedStudent('seldom', 0.15), new ExpectedStudent('mostly', 0.9), new ExpectedStudent('always', 1.0, 1.0, $known([1]))];
    $forecast = laid(weeks(12), courseOf(evenForm(24)), outset: ['students' => $students])->courses[0];
    expect(array_keys($forecast->far))->toBe(['seldom'])->and($forecast->far['seldom'])->toBeGreaterThan(5)->toBeLessThan($forecast->movements)
        ->and(CourseForecast::read(JsonNode::parse(json_encode($forecast->toData(), JSON_THROW_ON_ERROR)))->far)->toBe($forecast->far)
        // Nobody was met yet: invented students are not named.
        ->and(laid(weeks(12), courseOf(evenForm(24)))->courses[0]->far)->toBe([]);
});

test('far is three movements and a tenth of what was taught, against the middle of the class', function (array $expected, int $movements, array $far) {
    expect(CourseForecast::far($expected, $movements))->toBe($far);
})->with([
    'the furthest first, then by id' => [['a' => 10.0, 'd' => 4.0, 'c' => 1.0, 'b' => 4.0, 'e' => 10.0, 'f' => 10.0, 'g' => 9.0], 12, ['c' => 8, 'b' => 5, 'd' => 5]],
    'two under three is near' => [['a' => 10.0, 'b' => 7.6, 'c' => 10.0], 12, []],
    'of 72 three is near' => [['a' => 60.0, 'b' => 56.0, 'c' => 60.0], 72, []],
    'of two the better is the class' => [['a' => 10.0, 'b' => 2.0], 12, ['b' => 8]],
    'alone one is the class' => [['a' => 2.0], 12, []],
    'nobody' => [[], 0, []],
]);

test('students who know the same are still planned each by their own trust', function () {
    $know = fn () => new KnownEntry(new MemoryState(9.0, 5.0), Day::number('2026-01-01'));
    $one = $know();
    $class = fn (callable $known) => ['taught' => range(1, 5), 'students' => array_map(fn (int $n) => new ExpectedStudent("s$n", 0.85, [0.25, 1.25][$n % 2], array_combine(range(1, 5), array_map($known, range(1, 5)))), range(1, 6))];
    $json = fn (array $outset) => array_map(fn ($meeting) => $meeting->json(), laid(weeks(8), courseOf(evenForm(20)), outset: $outset)->meetings);
    expect($json($class(fn () => $one)))->toBe($json($class($know)));
});

test('what the teacher fixed is kept: nothing new, a lesson on its evening, a box, the reserve', function () {
    $course = courseOf(evenForm(40));
    $nothing = laid(weeks(12, pins: [0 => new MeetingPins(nothingNew: true)]), $course);
    expect(lessonNumbers($nothing)[0])->toBe([])->and(whys($nothing)[0])->toBe('nothing_new')->and(lessonNumbers($nothing)[1][0])->toBe(1);
    $late = laid(weeks(12, pins: [6 => new MeetingPins(lessons: ['c' => 2])]), $course);
    expect(lessonNumbers($late)[6])->toContain(2)->and(array_merge(...array_slice(lessonNumbers($late), 0, 6)))->toBe([1])->and(whys($late)[5])->toBe('waits_for_pin');
    $rhythm = laid(weeks(12, pins: [3 => new MeetingPins(lessons: ['c' => 4])]), courseOf(evenForm(40), rhythm: 2));
    expect(array_slice(lessonNumbers($rhythm), 0, 4))->toBe([[1], [2], [3], [4]]); // over the rhythm, for the teacher's hand wins
    $box = laid(weeks(12, pins: [2 => new MeetingPins(boxes: ['warm_up' => 25, 'close' => 2])]), $course)->meetings[2];
    expect([$box->boxes['warm_up'], $box->boxes['close'], array_sum($box->boxes)])->toBe([25, 2, 75]);
    $shown = courseOf(evenForm(40), showing: new Showing('2026-02-24', 'e6'));
    expect(whys(laid(weeks(12), $shown))[6])->toBe('reserve')->and(lessonNumbers(laid(weeks(12, pins: [6 => new MeetingPins(spendsReserve: true)]), $shown))[6])->not->toBe([]);
    // What no longer fits gives way from the last part on, and is said; only a change by hand is refused.
    $long = laid(weeks(2, pins: [0 => new MeetingPins(boxes: ['warm_up' => 80])]), $course)->meetings[0];
    expect($long->boxes['warm_up'])->toBe(75)->and(Said::all($long->notes))->toContain('take 80 minutes');
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
        ->and(Said::all($plan->warnings))->toContain('the shortest has room for about 2 to 3 movements');
    foreach ($plan->meetings as $at => $meeting) {
        expect(part($meeting)->lesson === null || $meeting->boxes['new'] <= 21 - 5 || $at < 3)->toBeTrue();
    }
    $parts = array_map(fn (PlannedLesson $one) => [$one->number, $one->part, $one->parts], array_merge(...array_map(fn ($one) => part($one)->lessons(), array_values($plan->meetings))));
    expect($parts[0])->toBe([1, 1, 2])->and($parts[1])->toBe([1, 2, 2]);
});

test('before a showing an evening is kept, its own is the showing’s, and the forecast is made for its day', function () {
    $course = courseOf(evenForm(40), showing: new Showing('2026-02-24', 'e6'));
    $plan = laid(weeks(16), $course);
    expect(array_slice(whys($plan), 6, 2))->toBe(['reserve', 'showing'])->and(whys($plan)[8])->toBe('ready') // after it lessons go on
        ->and($plan->meetings[7]->kind)->toBe(MeetingKind::Showing)->and(part($plan->meetings[7])->runThrough)->toBe(['e1', 'e2', 'e3', 'e4', 'e5', 'e6'])
        // What it comes to is said of the end, and of the showing how it stands on its day.
        ->and($plan->courses[0]->showing?->day)->toBe(Day::number('2026-02-24'))->and($plan->courses[0]->day)->toBe(Day::number('2026-04-28'))
        ->and($plan->courses[0]->reach)->toBe(max(array_map(fn (string $entry): int => (int) substr($entry, 1), array_merge(...array_map(fn (MeetingPlan $one): array => part($one)->given(), $plan->meetings)))))
        ->and($plan->courses[0]->showing?->mean)->toBeGreaterThan(0.8);
    expect(array_slice(whys(laid(weeks(16), $course->with(['reserve' => 3]))), 4, 4))->toBe(['reserve', 'reserve', 'reserve', 'showing'])
        ->and(whys(laid(weeks(16), $course->with(['reserve' => 0]))))->not->toContain('reserve');
    $early = laid(weeks(16), courseOf(evenForm(40), showing: new Showing('2026-02-24', 'e30')));
    expect(Said::all($early->warnings))->toContain('At the showing on 2026-02-24 the passage does not hold yet');
});

test('a set that is practised whole runs whole from the first class, one piece deeper each time, and nothing of it is left', function () {
    $eight = new Form('T', array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at", number: $at, repetition: Repetition::parse('6')), range(1, 8)));
    $course = courseOf($eight, approach: Approach::WholeSet);
    $plan = laid(weeks(12, 75), $course, outset: ['cut' => $course->cut(new LessonCutter, [75], [])]);
    foreach ($plan->meetings as $at => $meeting) {
        expect(part($meeting)->runThrough)->toBe($eight->idsOf(new Passage(1, 8)))->and(count(part($meeting)->lessons()))->toBe($at < 8 ? 1 : 0)
            ->and(part($meeting)->shown)->toBe(array_slice($eight->idsOf(new Passage(1, 8)), $at + 1))
            ->and(part($meeting)->forecast?->taught)->toBe(min(8, $at + 1)); // what is only followed along is not taught
    }
    expect(part($plan->meetings[0])->given())->toBe(['e1'])->and($plan->courses[0]->left)->toBe([])->and(Said::all($plan->warnings))->not->toContain('left for the next term')
        ->and(array_keys(part($plan->meetings[9])->review[0]->why))->toContain('weakest');
    expect(Said::of(part($plan->meetings[8])->why))->toContain('Every piece was worked on')->and(Said::of(part($plan->meetings[7])->why))->toContain('Piece 8');
    $short = laid(weeks(6, 75), $course, outset: ['cut' => $course->cut(new LessonCutter, [75], [])]);
    expect(Said::all([...$short->warnings, $short->courses[0]->says]))->not->toContain('left for the next term')->toContain('of 8 pieces come after this term');
});

test('a run-through goes in the order that is picked for its evening: what is known, and then what is new tonight as it is written', function () {
    $form = evenForm(24);
    $course = courseOf($form);
    $plain = laid(weeks(10), $course);
    $picked = fn (RunOrder $order): TermPlan => laid(weeks(10, pins: [5 => new MeetingPins(orders: ['c' => $order])]), $course);
    $known = array_diff(part($plain->meetings[5])->runThrough, part($plain->meetings[5])->given());
    $places = fn (array $ids): array => array_map(fn (string $id): int => (int) $form->positionOf($id), array_values($ids));
    $backwards = part($picked(RunOrder::Backwards)->meetings[5]);
    expect(count($known))->toBeGreaterThan(1)->and($backwards->order)->toBe(RunOrder::Backwards)
        ->and($places(array_diff($backwards->runThrough, $backwards->given())))->toBe(array_reverse($places($known)))
        ->and(array_slice($backwards->runThrough, -count($backwards->given())))->toBe($backwards->given())
        // The other evenings are as they were, and a plan read again goes the same way.
        ->and(part($picked(RunOrder::Backwards)->meetings[4])->runThrough)->toBe(part($plain->meetings[4])->runThrough)
        ->and(MeetingPins::read(JsonNode::parse(json_encode((new MeetingPins(orders: ['c' => RunOrder::Shuffled]))->toData(), JSON_THROW_ON_ERROR)))->orders)->toBe(['c' => RunOrder::Shuffled]);
});

test('a rough round is gone through on the evening it is asked for, followed along, and leaves nothing in memory', function () {
    $plan = laid(weeks(6, pins: [2 => new MeetingPins(rough: ['c'])]), courseOf(evenForm(24)));
    expect(part($plan->meetings[2])->runThrough)->toHaveCount(24)->and(part($plan->meetings[2])->shown)->not->toBe([])
        ->and(part($plan->meetings[2])->forecast?->taught)->toBeLessThan(12)->and(part($plan->meetings[3])->shown)->toBe([])
        ->and(array_intersect(array_merge([], ...array_map(fn ($one) => $one->entries, part($plan->meetings[3])->review)), part($plan->meetings[2])->shown))->toBe([]);
});

test('a form that is kept alive has no lessons, and what it leaves goes to the one with lessons', function () {
    [$old, $new] = [evenForm(30), evenForm(24)];
    $known = fn (float $stability) => [new ExpectedStudent('s', 0.9, 1.0, array_fill_keys(range(1, 30), new KnownEntry(new MemoryState($stability, 5.0), Day::number('2025-12-30'))))];
    $plan = fn (float $stability) => (new TermPlanner)->plan(new TermRequest('s', weeks(10), [
        new CourseOutset(courseOf($old, 'old', 0.5)->with(['keeps' => [$old->idsOf(new Passage(1, 10)), $old->idsOf(new Passage(21, 30))]]), (new LessonCutter)->cut($old, 3.0), range(1, 30), $known($stability)),
        new CourseOutset(courseOf($new, 'new', 0.5), (new LessonCutter)->cut($new, 2.0), [], [new ExpectedStudent('s', 0.9)]),
    ]));
    foreach ([$plan(2000.0), $plan(20.0)] as $one) {
        foreach ($one->meetings as $meeting) {
            expect($meeting->courses[0]->lessons())->toBe([])->and(array_sum($meeting->boxes))->toBe(75)
                ->and(array_intersect(array_merge([], ...array_map(fn ($review) => $review->entries, $meeting->courses[0]->review)), $old->idsOf(new Passage(11, 20))))->toBe([]);
        }
        expect($one->courses[0]->left)->toBe([])->and(array_merge([], ...array_map(fn ($meeting) => $meeting->courses[1]->given(), $one->meetings)))->not->toBe([]);
    }
    $reviewed = fn (TermPlan $of) => count($of->meetings[0]->courses[0]->review);
    expect($reviewed($plan(2000.0)))->toBe(0)->and($reviewed($plan(20.0)))->toBeGreaterThan(0); // what is there has its price
});

test('two forms that take turns have each its own evenings, and the other is only run through', function () {
    [$long, $short] = [evenForm(40), evenForm(20)];
    $plan = (new TermPlanner)->plan(new TermRequest('s', weeks(9), [
        new CourseOutset(courseOf($long, 'long'), (new LessonCutter)->cut($long, 3.0), [], []),
        new CourseOutset(courseOf($short, 'short'), (new LessonCutter)->cut($short, 3.0), [], []),
    ], turns: [0, 0, 1]));
    $given = fn (int $course) => array_keys(array_filter(array_map(fn ($meeting) => $meeting->courses[$course]->given(), $plan->meetings)));
    expect(array_diff($given(0), [0, 1, 3, 4, 6, 7]))->toBe([])->and(array_diff($given(1), [2, 5, 8]))->toBe([])->and($given(1))->not->toBe([])
        ->and($plan->meetings[3]->courses[1]->why?->code)->toBe('plan.why.not_its_turn')->and($plan->meetings[3]->courses[1]->runThrough)->not->toBe([])
        ->and(array_sum($plan->meetings[3]->boxes))->toBe(75);
});

test('what is taught past the end of a lesson is taught, and the next lesson begins after it', function () {
    // Lessons of three: 1 to 5 were taught on one evening.
    $known = [new ExpectedStudent('s', 1.0, 1.0, array_fill_keys(range(1, 5), new KnownEntry(new MemoryState(30.0, 5.0), Day::number('2026-01-01'))))];
    $plan = laid(weeks(8, held: 1), courseOf(evenForm(12)), 3.6, ['taught' => [1, 2, 3, 4, 5], 'students' => $known, 'lastLesson' => new Passage(1, 5)]);
    expect(part($plan->meetings[1])->given()[0])->toBe('e6');
    // And what was taught out of the middle is not taught again.
    $middle = laid(weeks(8, held: 1), courseOf(evenForm(12)), 3.6, ['taught' => [1, 2, 3, 5], 'students' => $known, 'lastLesson' => new Passage(1, 5)]);
    $given = array_merge([], ...array_map(fn ($one) => part($one)->given(), $middle->meetings));
    expect($given)->not->toContain('e5')->toContain('e4')->toContain('e6');
});

test('what takes longer than two minutes has its own time: it is gone through once, and a run-through steps over it', function () {
    $form = new Form('T', array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at", number: $at, repetition: $at === 2 ? Repetition::parse('900 s') : null), range(1, 12)));
    $plan = laid(weeks(10), courseOf($form));
    $reviews = array_merge([], ...array_map(fn ($one) => part($one)->review, $plan->meetings));
    foreach ($plan->meetings as $meeting) {
        expect(part($meeting)->runThrough)->not->toContain('e2');
    }
    $alone = array_values(array_filter($reviews, fn (PlannedReview $one) => $one->entries === ['e2']));
    foreach ($alone as $one) {
        expect([$one->passes, $one->minutes])->toBe([1, 16.5]);
    }
    expect(array_filter($reviews, fn (PlannedReview $one) => in_array('e2', $one->entries, true)))->not->toBe([]);
});

test('evenings of polish take turns: the weakest stretch, the joins between lessons, all of it in another order', function () {
    $form = new Form('T', evenForm(20)->entries, [new Section('One', 1, 10), new Section('Two', 11, 20)]);
    $plan = laid(weeks(16), courseOf($form)->with(['spread' => false]));
    $orders = array_map(fn ($one) => part($one)->order->value, $plan->meetings);
    $whys = array_map(fn ($one) => array_keys(part($one)->review[0]->why ?? []), $plan->meetings);
    expect($orders)->toContain('shuffled')->and(array_filter($whys, fn (array $keys) => in_array('joins', $keys, true)))->not->toBe([]);
    foreach ($plan->meetings as $meeting) {
        $run = part($meeting)->runThrough;
        expect(part($meeting)->order->value === 'as_written')->toBe($run === array_values(array_filter($form->idsOf(new Passage(1, 20)), fn (string $id) => in_array($id, $run, true))));
    }
    $reviewed = [];
    foreach (array_slice($plan->meetings, 10) as $meeting) {
        $strong = array_merge([], ...array_map(fn ($one) => ($one->why['recall'] ?? 0) >= 0.95 ? $one->entries : [], part($meeting)->review));
        expect(array_intersect($strong, $reviewed))->toBe([], "nothing at 0.9 is reviewed two evenings running: $meeting->on");
        $reviewed = array_merge([], ...array_map(fn ($one) => $one->entries, part($meeting)->review));
    }
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
        if ($lesson !== null && (int) substr($lesson->entries[0], 1) > 20 && ! str_contains(Said::all($meeting->notes), 'longer run-through') && part($meeting)->times === 1) {
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

test('with two lessons in an evening the run-through goes through both and what was before them', function () {
    $course = courseOf(evenForm(40))->paced([120]);
    foreach (laid(weeks(10, 120), $course, 2.4)->meetings as $at => $meeting) {
        $lessons = part($meeting)->lessons();
        if (count($lessons) > 1) {
            $run = part($meeting)->runThrough;
            expect(array_diff(array_merge(...array_map(fn (PlannedLesson $one) => $one->entries, $lessons)), $run))->toBe([])
                ->and($at === 0 || in_array('e'.((int) substr($lessons[0]->entries[0], 1) - 1), $run, true))->toBeTrue();
        }
    }
});

test('what is fixed by hand of an evening is kept to the minute, whatever the evening brings', function () {
    mt_srand(281);
    for ($round = 0; $round < 40; $round++) {
        $at = mt_rand(0, 7);
        $fixed = [];
        foreach (['settle', 'warm_up', 'review', 'new', 'run_through', 'close'] as $box) {
            if (mt_rand(0, 2) === 0) {
                $fixed[$box] = mt_rand(0, 14);
            }
        }
        $meeting = laid(weeks(8, pins: [$at => new MeetingPins(boxes: $fixed)]), courseOf(evenForm(30), approach: Approach::cases()[$round % 4]))->meetings[$at];
        foreach (count($fixed) === 6 ? [] : $fixed as $box => $minutes) {
            expect($meeting->boxes[$box])->toBe($minutes, json_encode([$fixed, $meeting->boxes]));
        }
        expect(array_sum($meeting->boxes))->toBe(75)->and(($fixed['new'] ?? null) === 0 && part($meeting)->given() !== [])->toBeFalse();
    }
});

test('what an evening that is held back costs is the difference of that evening alone', function () {
    $course = courseOf(evenForm(60), rhythm: 2);
    $request = new TermRequest('seed', weeks(8), [new CourseOutset($course, (new LessonCutter)->cut($course->form, 3.6), [], [])]);
    $plan = (new TermPlanner)->plan($request);
    foreach ((new PlanCosts)->of($request, $plan, fn () => null) as $cost) {
        $at = array_search($cost->with['on'], array_map(fn (TermMeeting $one) => $one->on, $request->meetings), true);
        $meetings = $request->meetings;
        $meetings[$at] = $meetings[$at]->pinned(new MeetingPins(gives: ['c' => true]));
        $forced = (new TermPlanner)->plan($request->with(['meetings' => $meetings]));
        // Whatever comes before that evening comes as it would have.
        expect(array_slice(lessonNumbers($forced), 0, $at))->toBe(array_slice(lessonNumbers($plan), 0, $at))->and(lessonNumbers($forced)[$at])->not->toBe([])
            ->and(round($forced->expected() - $plan->expected(), 1))->toBe($cost->with['more']);
    }
    expect((new PlanCosts)->of($request, $plan, fn () => null))->not->toBe([]);
});

test('of a form that is kept alive each section is run through in its turn', function () {
    $form = new Form('T', evenForm(30)->entries, [new Section('One', 1, 10), new Section('Two', 11, 20), new Section('Three', 21, 30)]);
    $known = [new ExpectedStudent('s', 0.9, 1.0, array_fill_keys(range(1, 25), new KnownEntry(new MemoryState(50.0, 5.0), Day::number('2025-12-30'))))];
    $plan = laid(weeks(6), courseOf($form)->with(['keeps' => [$form->idsOf(new Passage(1, 25))]]), outset: ['taught' => range(1, 25), 'students' => $known]);
    expect(array_map(fn ($one) => part($one)->runThrough[0], array_values($plan->meetings)))->toBe(['e1', 'e11', 'e21', 'e1', 'e11', 'e21']);
});

test('a piece of a set that is practised whole is never cut in two', function () {
    $kinds = [EntryKind::Opening, EntryKind::Movement, EntryKind::Movement, EntryKind::Movement];
    $form = new Form('T', array_map(fn (EntryKind $kind, int $at) => new Entry("e$at", $kind, "E$at", number: $kind === EntryKind::Movement ? $at : null, repetition: Repetition::parse('20')), $kinds, array_keys($kinds)));
    $course = courseOf($form, approach: Approach::WholeSet);
    $plan = laid(weeks(4, 45), $course, outset: ['cut' => $course->cut(new LessonCutter, [45], [])]);
    expect(array_map(fn ($one) => part($one)->given(), array_values($plan->meetings)))->toBe([['e0', 'e1'], ['e2'], ['e3'], []]);
});

test('what opens a form is taught, and is no movement: a forecast counts both', function () {
    $form = new Form('T', [new Entry('e0', EntryKind::Opening, 'Opening'), new Entry('x', EntryKind::Extra, 'Shoulder roll'), ...evenForm(12)->entries]);
    $first = part(laid(weeks(6), courseOf($form))->meetings[0]);
    expect($first->given())->toContain('e0')->not->toContain('x')->and($first->forecast?->movements)->toBe(count($first->given()) - 1)->and($first->forecast?->taught)->toBe(count($first->given()));
});
