<?php

declare(strict_types=1);

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Memory\Track;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Record\RunOrder;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\Forecast;
use Gorvan\Core\Term\KnownEntry;
use Gorvan\Core\Term\LearnedPace;
use Gorvan\Core\Term\LessonKind;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\PlanGlance;
use Gorvan\Core\Term\PlannedFocus;
use Gorvan\Core\Term\PlannedLesson;
use Gorvan\Core\Term\PlannedReview;
use Gorvan\Core\Term\SaidPace;

function reeds(int $count): Form
{
    return new Form('T', array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at"), range(1, $count)));
}

test('the load of an evening comes from the minutes of the meetings and what a simple movement takes', function (array $minutes, Approach $approach, float $share, float $load) {
    $course = new Course('c', reeds(20), new Passage(1, 20), $approach, $share);
    expect($course->paced($minutes)->pace?->load)->toEqualWithDelta($load, 1e-9);
})->with([
    '0.31 x 60 / 6' => [[60], Approach::PieceByPiece, 1.0, 3.1],
    'the median, not the mean' => [[45, 60, 180], Approach::PieceByPiece, 1.0, 3.1],
    'between two' => [[60, 90], Approach::PieceByPiece, 1.0, 3.875],
    'shorter meetings, smaller lessons' => [[45], Approach::PieceByPiece, 1.0, 2.325],
    'an outline by its detail round: 0.31 x 60 / 5' => [[60], Approach::OutlineFirst, 1.0, 3.72],
    'never more than 5' => [[120], Approach::OutlineFirst, 1.0, 5.0],
    'never less than 1' => [[60], Approach::PieceByPiece, 0.2, 1.0],
]);

test('a pace that is said stands before what was learned and what is usual, and each is shown as the other', function () {
    $course = (new Course('c', reeds(20), new Passage(1, 20), Approach::PieceByPiece))->with(['paces' => ['new' => LearnedPace::of(6.0, [['minutes' => 12.0, 'load' => 1.0]])]]);
    $pace = fn (?SaidPace $said) => $course->with(['said' => $said])->paced([60])->pace;
    $each = (20 + 19 * 0.2) / 20; // the load of one of twenty simple movements, with the joins
    expect($course->paced([60])->pace?->minutes)->toBe(8.0) // (12 + 2 x 6) / 3
        ->and($pace(SaidPace::minutes(5))?->load)->toEqualWithDelta(18.6 / 5, 1e-9)
        ->and($pace(SaidPace::minutes(5))?->movements)->toEqualWithDelta(18.6 / 5 / $each, 1e-9)
        ->and($pace(SaidPace::movements(2))?->load)->toEqualWithDelta(2 * $each, 1e-9)
        ->and($pace(SaidPace::movements(2))?->minutes)->toEqualWithDelta(18.6 / (2 * $each), 1e-9)
        ->and($pace(SaidPace::minutes(60))?->load)->toEqualWithDelta(0.31, 1e-9) // whoever says a pace means it
        ->and($pace(SaidPace::movements(2.34))?->movements)->toEqualWithDelta(2.3, 1e-9)
        ->and($course->with(['said' => SaidPace::minutes(5)])->minutesPerLoad())->toBe(5.0)
        ->and($course->with(['said' => SaidPace::minutes(8), 'approach' => Approach::OutlineFirst])->minutesPerLoad(LessonKind::Rough))->toBe(4.0); // half the detail pace
});

test('what is said on the workbench of minutes is the pace of the course', function () {
    $course = new Course('c', reeds(20), new Passage(1, 20), Approach::PieceByPiece, size: new LessonSize(minutes: 20.0, minutesPerLoad: 4.0));
    expect($course->paced([60])->pace?->load)->toBe(5.0)->and($course->minutesPerLoad())->toBe(4.0)
        ->and($course->cut(new LessonCutter, [60], [])->target)->toBe(5.0);
});

test('a set that is practised whole has one movement a piece, with the unnumbered entries after it', function () {
    $kinds = [EntryKind::Opening, EntryKind::Movement, EntryKind::Connector, EntryKind::Movement, EntryKind::Movement, EntryKind::Closing];
    $form = new Form('T', array_map(fn (EntryKind $kind, int $at) => new Entry("e$at", $kind, "E$at"), $kinds, array_keys($kinds)));
    $course = new Course('c', $form, new Passage(1, 6), Approach::WholeSet);
    expect($course->pieces())->toEqual([new Passage(1, 3), new Passage(4, 4), new Passage(5, 6)])
        ->and(array_map(fn ($lesson) => [$lesson->from, $lesson->to], $course->cut(new LessonCutter, [60], [])->lessons))->toBe([[1, 3], [4, 4], [5, 6]]);
});

test('the course cuts its own target by its own pins, or by what the teacher says', function () {
    $course = new Course('c', reeds(20), new Passage(5, 14), Approach::PieceByPiece, 1.0, pins: ['e7' => CutPin::Always, 'gone' => CutPin::Never]);
    $cut = $course->cut(new LessonCutter, [60], []);
    expect(array_map(fn ($lesson) => $lesson->to, $cut->lessons))->toContain(7, 14)->and($cut->lessons[0]->from)->toBe(5)
        ->and((new Course('c', reeds(20), new Passage(1, 20), Approach::PieceByPiece, size: new LessonSize(count: 3)))->cut(new LessonCutter, [60], [])->lessons)->toHaveCount(3)
        ->and((new Course('c', reeds(20), new Passage(1, 20), Approach::PieceByPiece, size: new LessonSize(6.0)))->cut(new LessonCutter, [60], [])->target)->toBe(6.0);
});

test('a plan comes back as it went, with what is not known here', function () {
    $plan = new MeetingPlan('2026-12-02', 75, MeetingKind::Lesson, ['settle' => 3, 'warm_up' => 14, 'new' => 58], [
        new CoursePlan('c', new PlannedLesson(['e17', 'e18'], number: 6, part: 1, parts: 2), ['e15', 'e16'], [new PlannedReview(['e01'], 3, 4.25, ['recall' => 0.61])], ['e16', 'e17'], new Forecast(19, 0.84), Message::of('plan.why.first', number: 6), [new PlannedLesson(['e19'], number: 7)], ['later' => true], 2, RunOrder::Backwards, ['e20']),
    ], [Message::of('boxes.none', box: Message::of('box.close'))], [new PlannedFocus('p03', true, 0.52, 0.75, Message::of('focus.first'))], ['w04'], [(object) ['what' => 'lesson', 'value' => 9]], ['mood' => 3]);
    $again = MeetingPlan::read(JsonNode::parse($plan->json()));
    expect($again)->toEqual($plan)->and($again->json())->toBe($plan->json())->and($plan->course('c')?->entries())->toBe(['e15', 'e16', 'e17', 'e18', 'e19', 'e01']);
});

test('a plan of the format before is read as it was meant', function () {
    $plan = MeetingPlan::read(JsonNode::parse('{"format":"gorvan.plan/1","on":"2026-12-02","minutes":60,"kind":"reserve","boxes":[{"kind":"review","minutes":55},{"kind":"close","minutes":5}],"courses":[{"course":"c","recap":[],"review":[],"run_through":["e1","e2"]}],"notes":[]}'));
    expect($plan->boxes)->toBe(['review' => 55, 'close' => 5])->and($plan->kind)->toBe(MeetingKind::Reserve)
        ->and([$plan->courses[0]->runThrough, $plan->courses[0]->times, $plan->courses[0]->order])->toBe([['e1', 'e2'], 1, RunOrder::AsWritten])
        ->and(json_decode($plan->json(), true)['format'])->toBe('gorvan.plan/2')->and(json_decode($plan->json(), true))->not->toHaveKey('boxes');
});

test('a glance at a plan says its kind and its lesson, as the whole plan does', function () {
    $part = fn (string $id, ?PlannedLesson $lesson, array $further = []) => new CoursePlan($id, $lesson, [], [], [], further: $further);
    $plan = new MeetingPlan('2026-12-02', 75, MeetingKind::Lesson, ['new' => 75], [$part('c', new PlannedLesson(['a', 'b'], number: 6), [new PlannedLesson(['c'], number: 7)]), $part('d', new PlannedLesson(['x'], LessonKind::Join))]);
    $glance = PlanGlance::at($plan->json(), 'c');
    expect([$glance->kind, $glance->lessonNumbers, $glance->courses])->toBe([MeetingKind::Lesson, [6, 7], 2])
        ->and(PlanGlance::at($plan->json(), 'd')->lessonNumbers)->toBe([])->and(PlanGlance::at($plan->json(), 'e')->lessonNumbers)->toBe([]);
});

test('an evening that was held is shown as what it was: something new where nothing was planned, nothing where a lesson was', function () {
    expect(MeetingKind::held(MeetingKind::Consolidation, true, true))->toBe(MeetingKind::Lesson)->and(MeetingKind::held(null, true, true))->toBe(MeetingKind::Lesson)
        ->and(MeetingKind::held(MeetingKind::Lesson, false, true))->toBe(MeetingKind::Consolidation)->and(MeetingKind::held(MeetingKind::Lesson, false, false))->toBe(MeetingKind::Lesson)
        ->and(MeetingKind::held(MeetingKind::Showing, true, true))->toBe(MeetingKind::Showing)->and(MeetingKind::held(MeetingKind::Reserve, false, true))->toBe(MeetingKind::Reserve)
        ->and(OwnLessons::numbersWith([['a', 'b'], ['c'], ['d']], 6, ['b', 'c', 'x']))->toBe([6, 7])->and(OwnLessons::numbersWith([['a']], 1, []))->toBe([]);
});

test('a plan that cannot be is refused at its place', function (string $json, string $place) {
    expect(fn () => MeetingPlan::read(JsonNode::parse($json)))->toThrow(BadInput::class, $place);
})->with([
    ['{"format":"gorvan.plan/3"}', '$.format'],
    ['{"format":"gorvan.plan/2","on":"2026-12-02","minutes":60,"parts":[{"kind":"tea","minutes":3}]}', '$.parts[0].kind'],
    ['{"format":"gorvan.plan/1","on":"2026-12-02","minutes":60,"boxes":[{"kind":"tea","minutes":3}]}', '$.boxes[0].kind'],
    ['{"format":"gorvan.plan/1","on":"2026-12-02","minutes":60,"boxes":[],"courses":[{"course":"c","lesson":{}}]}', '$.courses[0].lesson'],
]);

test('a plan goes by the side that is remembered worse, and by none where one never was met', function () {
    $model = new MemoryModel;
    $track = fn (float $stability, int $last) => new Track(null, new MemoryState($stability, 5.0), $last, 1);
    expect(KnownEntry::weakerOf(Tracks::sides($track(5.0, 0), $track(4.0, 9)), 10, $model)?->state->stability)->toBe(5.0)
        ->and(KnownEntry::weakerOf(Tracks::sides($track(5.0, 0), null), 10, $model))->toBeNull()
        ->and(KnownEntry::weakerOf(Tracks::whole(new Track), 10, $model))->toBeNull();
});
