<?php

declare(strict_types=1);

/*
 * Facts of the trade, each marked "common practice": nothing here has a published source.
 */

use App\Actions\ReadForm;
use Gorvan\Core\Form\Audit\BreathRule;
use Gorvan\Core\Form\Audit\FormAudit;
use Gorvan\Core\Form\Audit\SidesRule;
use Gorvan\Core\Form\Audit\WeightRule;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\File\PlainListReader;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\RestModel;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\Watchable;
use Gorvan\Core\Standing\Watched;
use Gorvan\Core\Standing\WatchList;
use Gorvan\Core\Standing\WatchPassage;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\ClassClock;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\MeetingBoxes;
use Gorvan\Core\Term\MeetingFrame;
use Gorvan\Core\Term\StopFocus;
use Gorvan\Core\Term\TermMeeting;
use Gorvan\Core\Term\TermPlan;
use Gorvan\Core\Term\TermPlanner;
use Gorvan\Core\Term\TermRequest;
use Gorvan\Core\Tests\Sample;

test('7 x 7 heel drops are 49 (common practice)', function () {
    expect((new PlainListReader)->read('1. Heel drops (7x7)')->form->at(1)->repetition?->times)->toBe(49);
});

test('three steps announced, alternating from the left, end left (common practice)', function () {
    expect((new PlainListReader)->read('1. Step (L-R-L)')->form->at(1)->repetition?->endingSide())->toBe(Side::Left);
});

test('timed holds last as long as they say: 6 to 20 seconds in a set, 15 minutes in a retreat (common practice)', function (string $hold, float $seconds) {
    $form = (new PlainListReader)->read("1. Stand ($hold)")->form;
    expect((new RunTime($form))->secondsOf(1))->toBe($seconds);
})->with([
    ['6 s', 6.0],
    ['20 s', 20.0],
    ['15 min', 900.0],
]);

test('a class night of 45 to 90 minutes has every box, and at least 8 minutes of warm-up (common practice)', function () {
    for ($minutes = 45; $minutes <= 90; $minutes++) {
        $boxes = MeetingBoxes::unplanned($minutes);
        expect(min($boxes->all()))->toBeGreaterThan(0)
            ->and($boxes->minutes(Box::WarmUp))->toBeGreaterThanOrEqual(8);
    }
});

test('settle and close are never dropped without being said (common practice: they are part of the practice)', function () {
    for ($minutes = 30; $minutes <= 90; $minutes += 15) {
        $clock = ClassClock::of(MeetingBoxes::unplanned($minutes)->all());
        for ($late = 0; $late <= 60 * $minutes; $late += 60) {
            $now = $clock->startedLate($late);
            $said = array_column($now->costs($clock), 'to', null);
            $costs = array_combine(array_map(fn (array $cost) => $cost['box']->value, $now->costs($clock)), $now->costs($clock));
            foreach ([Box::Settle, Box::WarmUp, Box::Close] as $box) {
                // Whatever it lost is among the costs, and apart from those that give first.
                expect(isset($costs[$box->value]))->toBe($now->seconds[$box->value] < $clock->seconds[$box->value])->and(ClassClock::givesLast($box))->toBeTrue();
            }
            expect(count($said))->toBe(count($costs));
        }
    }
});

test('what a class is stopped for can be seen at a glance: the empty foot, arms and legs, three contacts of the foot, level hips (common practice)', function () {
    expect(array_map(fn (StopFocus $focus) => $focus->value, StopFocus::cases()))->toBe(['empty_foot', 'arrived_together', 'three_contacts', 'level_hips']);
});

test('nobody goes three meetings unseen without being named (common practice)', function () {
    $students = array_map(fn (int $n) => new Watchable("s$n", $n % 4, ['a' => 0.9]), range(1, 40));
    $list = WatchList::of($students, WatchPassage::of(['a'], [], [], []));
    $named = [...array_map(fn (Watched $one) => $one->student, $list->watch), ...$list->overdue];
    foreach ($students as $student) {
        if ($student->attendedSinceMark >= 3) {
            expect($named)->toContain($student->id);
        }
    }
});

test('a lesson does not part the two sides of a movement where it can help it (common practice)', function () {
    $lines = [];
    for ($pair = 1; $pair <= 12; $pair++) {
        $lines[] = "Movement $pair (L)";
        $lines[] = "Movement $pair (R)";
    }
    $form = (new PlainListReader)->read(implode("\n", $lines))->form;
    foreach ((new LessonCutter)->cut($form, 3.8)->lessons as $lesson) {
        expect($lesson->to % 2)->toBe(0);
    }
});

test('the demo’s long form is one a teacher could teach: every section ends where one may rest (common practice)', function () {
    $form = (new ReadForm)((string) file_get_contents(base_path('database/demo/marsh-lantern.json')))->form;
    $rests = (new RestModel)->of($form);
    foreach (array_slice($form->sections, 0, -1) as $section) {
        expect($rests[$section->last - 1]->rest)->toBeGreaterThanOrEqual(0.6, $section->title);
    }
    $movements = array_filter($form->entries, fn ($entry) => $entry->number !== null);
    $turn = array_sum(array_map(fn ($entry) => $entry->turn ?? 0.0, $form->entries));
    expect($movements)->toHaveCount(72)
        ->and($form->announced)->toBe(72)
        ->and(fmod($turn, 360.0))->toBe(0.0); // opening and closing face the same way
});

test('the demo’s form names nothing that is widely filmed, and no entry twice without saying so', function () {
    $form = (new ReadForm)((string) file_get_contents(base_path('database/demo/marsh-lantern.json')))->form;
    $seen = [];
    foreach ($form->entries as $entry) {
        $key = $entry->title.($entry->side->value ?? '');
        expect(isset($seen[$key]) === ($entry->returns !== null))->toBeTrue($entry->id);
        $seen[$key] = true;
    }
});

test('an empty foot carries at most 10 %: such a step is no fault, one from a foot that carries more is (common practice)', function () {
    $after = fn (float $left) => array_column(array_map(
        fn ($finding) => ['code' => $finding->code->value],
        FormAudit::of(Sample::form([['weight_end' => $left], ['first_step' => 'left']]), [new WeightRule])->open,
    ), 'code');
    expect([$after(5), $after(10), $after(11), $after(90)])->toBe([[], [], ['weight'], ['weight']]);
});

test('breath in and out alternates, and a set is done about as often left as right (common practice)', function () {
    $phases = fn (string ...$breaths) => ['phases' => array_map(fn ($breath) => ['breath' => $breath], $breaths)];
    expect(FormAudit::of(Sample::form([$phases('in', 'out', 'in', 'out')]), [new BreathRule])->open)->toBe([])
        ->and(FormAudit::of(Sample::form([$phases('in', 'in')]), [new BreathRule])->open)->toHaveCount(1)
        ->and(FormAudit::of(Sample::form([['side' => 'both', 'repetition' => '6 a side']]), [new SidesRule])->open)->toBe([])
        ->and(FormAudit::of(Sample::form([['repetition' => 'L-R-L']]), [new SidesRule])->open)->toBe([]);
});

test('the counts of the starters are those the sets are known by (common knowledge, from memory)', function (string $file, int $movements, array $among) {
    $form = (new ReadForm)((string) file_get_contents(base_path("database/starters/$file.json")))->form;
    $titles = array_map(fn ($entry) => $entry->title, $form->entries);
    expect(FormAudit::of($form)->totals->movements)->toBe($movements)->and($form->announced)->toBe($movements)
        ->and(array_intersect($among, $titles))->toBe($among);
})->with([
    ['sword-32', 32, ['Thrust straight in a bow step']],
    ['combined-42', 42, ['Commencing', 'Cloud hands', 'Closing']],
    ['eight-brocades', 8, ['Two hands hold up the sky', 'Seven times up on the toes']],
]);

test('a review goes through a passage three times at least: watch, together, alone (common practice)', function () {
    $plan = practicePlan(40, 75, 60);
    foreach ($plan->meetings as $meeting) {
        foreach ($meeting->courses[0]->review as $review) {
            expect($review->passes)->toBeGreaterThanOrEqual(3);
        }
    }
});

test('of a class 62 % go to what is old and what is new (common practice)', function () {
    foreach ([45, 60, 75, 90] as $minutes) {
        expect(MeetingFrame::of($minutes)->minutes['middle'] / $minutes)->toEqualWithDelta(0.62, 0.5 / $minutes + 1e-9);
    }
});

test('a long form goes on by about one lesson a week, and nothing is begun on the evening before three weeks without class (common practice)', function () {
    $plan = practicePlan(30, 60, 108, 16);
    $lessons = array_map(fn ($meeting) => count($meeting->courses[0]->given() === [] ? [] : $meeting->courses[0]->lessons()), $plan->meetings);
    expect(max($lessons))->toBeLessThanOrEqual(2)->and(array_sum($lessons) / count($lessons))->toBeGreaterThan(0.5)->toBeLessThanOrEqual(1.0)
        ->and($lessons[15])->toBe(0)->and($plan->meetings[15]->courses[0]->why?->code)->toBe('plan.why.before_break')->and($lessons[16])->toBe(1);
});

/** A weekly class of a form, with a break of three weeks before one of its meetings. */
function practicePlan(int $meetings, int $minutes, int $entries, ?int $break = null): TermPlan
{
    $form = new Form('T', array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at"), range(1, $entries)));
    $course = new Course('c', $form, new Passage(1, $entries), Approach::PieceByPiece);
    $day = Day::number('2026-01-06');
    $dates = [];
    for ($at = 0; $at < $meetings; $at++) {
        $day += $at === 0 ? 0 : ($at === $break ? 21 : 7);
        $dates[] = new TermMeeting(Day::text($day), $minutes);
    }

    return (new TermPlanner)->plan(new TermRequest('practice', $dates, [new CourseOutset($course, $course->cut(new LessonCutter, [$minutes], []), [], [])]));
}

/** A weekly class of a plain form, as an ordinary teacher has it. */
function ordinaryPlan(int $meetings, int $minutes, int $movements, Approach $approach, string $repetition = ''): TermPlan
{
    $form = (new PlainListReader)->read(implode("\n", array_map(fn (int $at) => "$at. Movement $at$repetition", range(1, $movements))))->form;
    $course = (new Course('c', $form, new Passage(1, $movements), $approach))->paced([$minutes]);
    $dates = array_map(fn (int $at) => new TermMeeting(Day::text(Day::number('2026-09-01') + 7 * $at), $minutes), range(0, $meetings - 1));

    return (new TermPlanner)->plan(new TermRequest('practice', $dates, [new CourseOutset($course, $course->cut(new LessonCutter, [$minutes], []), [], [])]));
}

test('a set of 24 is taught in twelve to thirteen weekly hours, whichever way it goes round (common practice, from memory)', function (Approach $approach, int $hours) {
    $plan = ordinaryPlan($hours, 60, 24, $approach);
    expect($plan->courses[0]->left)->toBe([])->and($plan->courses[0]->reach)->toBe(24)->and($plan->courses[0]->says?->code)->toBe('pace.through')
        ->and($plan->courses[0]->holds)->toBeGreaterThan(20);
})->with([[Approach::PieceByPiece, 12], [Approach::PieceByPiece, 13], [Approach::SidesThenJoined, 13], [Approach::OutlineFirst, 13]]);

test('a set of 24 that is practised whole runs whole every week, and is half worked through in a term (common practice, from memory)', function () {
    $plan = ordinaryPlan(13, 60, 24, Approach::WholeSet);
    foreach ($plan->meetings as $meeting) {
        expect($meeting->courses[0]->runThrough)->toHaveCount(24);
    }
    expect($plan->courses[0]->movements)->toBe(12); // one piece an evening, and a look back
});

test('a long form of 72 or 108 is taught in a school year of weekly classes of 75 minutes (common practice, from memory)', function (int $movements) {
    $plan = ordinaryPlan(36, 75, $movements, Approach::PieceByPiece);
    $lessons = array_map(fn ($meeting) => count($meeting->courses[0]->given()), $plan->meetings);
    expect($plan->courses[0]->left)->toBe([])->and(max($lessons))->toBeLessThanOrEqual(4)->and(min(array_filter($lessons)))->toBeGreaterThanOrEqual(2);
})->with([72, 108]);

test('eight pieces run whole from the first class on, and each class one is worked on (common practice, from memory)', function () {
    $plan = ordinaryPlan(12, 75, 8, Approach::WholeSet, ' (6x)');
    foreach (array_values($plan->meetings) as $at => $meeting) {
        expect($meeting->courses[0]->runThrough)->toHaveCount(8)->and($meeting->courses[0]->given())->toHaveCount($at < 8 ? 1 : 0);
    }
    expect($plan->courses[0]->left)->toBe([]);
});
