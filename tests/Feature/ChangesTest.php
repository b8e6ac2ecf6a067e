<?php

declare(strict_types=1);

use App\Models\Meeting;
use App\Models\Role;
use App\Models\Term;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-06T12:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->actingAs($this->user);
    $this->url = "/api/terms/{$this->term->id}";
    $this->show = fn (): array => $this->getJson($this->url)->assertOk()->json();
    $this->ids = array_column(($this->show)()['meetings'], 'id');
    $this->course = ($this->show)()['courses'][0]['id'];
    $this->change = fn (array $changes, ?int $version = null) => $this->postJson("$this->url/changes", ['version' => $version ?? ($this->show)()['version'], 'changes' => $changes]);
    $this->meeting = fn (int $at): array => collect(($this->show)()['meetings'])->firstWhere('id', $this->ids[$at]);
    $this->words = fn ($answer): string => implode(' ', array_map(fn (array $one) => App\Words::asSentence(Gorvan\Core\Reading\Message::read(Gorvan\Core\Reading\JsonNode::parse(json_encode($one)))), $answer->json('moved')));
});

test('a meeting moves, and what moved is said in words', function () {
    $answer = ($this->change)([['what' => 'move', 'meeting' => $this->ids[3], 'to' => '2026-01-31', 'at' => '10:30', 'reason' => 'the hall is painted']])->assertCreated();
    expect(($this->words)($answer))->toContain('The meeting of 2026-01-27 moves to 2026-01-31.')
        ->and(($this->meeting)(3))->toMatchArray(['on' => '2026-01-31', 'startsAt' => '2026-01-31T10:30:00+01:00', 'reason' => 'the hall is painted', 'state' => 'laid']);
});

test('a meeting is cancelled and takes place after all; what it was to bring goes elsewhere in between', function () {
    $lesson = ($this->meeting)(1)['courses'][0]['lessons'][0]['number'];
    $answer = ($this->change)([['what' => 'cancel', 'meeting' => $this->ids[1], 'reason' => 'snow']])->assertCreated();
    expect(($this->words)($answer))->toContain('2026-01-13 does not take place: snow.')->toContain("Lesson $lesson moves from 2026-01-13 to 2026-01-20.")
        ->and(($this->meeting)(1)['state'])->toBe('cancelled')->and(($this->show)()['term']['meetings'])->toBe(9);
    ($this->change)([['what' => 'restore', 'meeting' => $this->ids[1]]])->assertCreated();
    expect(($this->meeting)(1))->toMatchArray(['state' => 'laid', 'reason' => null]);
});

test('an extra meeting is added, a week is closed, a meeting is longer and in another room', function () {
    $id = (string) Str::uuid7();
    ($this->change)([['what' => 'add', 'id' => $id, 'on' => '2026-01-10', 'at' => '10:00', 'minutes' => 90, 'reason' => 'makes up', 'room' => 'Loft']])->assertCreated();
    ($this->change)([['what' => 'close', 'from' => '2026-02-16', 'to' => '2026-02-22', 'reason' => 'half term'], ['what' => 'minutes', 'meeting' => $this->ids[2], 'minutes' => 100], ['what' => 'room', 'meeting' => $this->ids[2], 'room' => 'Garden']])->assertCreated();
    $term = ($this->show)();
    expect(collect($term['meetings'])->firstWhere('id', $id))->toMatchArray(['state' => 'added', 'on' => '2026-01-10', 'minutes' => 90, 'room' => 'Loft'])
        ->and(collect($term['meetings'])->firstWhere('on', '2026-02-17')['state'])->toBe('cancelled')
        ->and($term['closures'])->toBe([['from' => '2026-02-17', 'to' => '2026-02-17']])
        ->and(($this->meeting)(2))->toMatchArray(['minutes' => 100, 'room' => 'Garden']);
    expect(array_sum((array) ($this->meeting)(2)['boxes']))->toBe(100);
});

test('what cannot be is refused with the nearest thing that can, and changes nothing', function (array $change, string $says, array $first = []) {
    if ($first !== []) {
        ($this->change)(array_map(fn (array $one) => [...$one, 'meeting' => $this->ids[$change['meeting']]], $first))->assertCreated();
    }
    $before = ($this->show)();
    $change['meeting'] = isset($change['meeting']) ? $this->ids[$change['meeting']] : null;
    $change['course'] = isset($change['course']) ? $this->course : null;
    $answer = ($this->change)([['what' => 'close', 'from' => '2026-01-29', 'to' => '2026-01-31'], array_filter($change, fn ($one) => $one !== null)])->assertStatus(422);
    expect($this->said($answer))->toContain($says)->and(($this->show)()['meetings'])->toBe($before['meetings'])->and(($this->show)()['closures'])->toBe([]);
})->with([
    'onto another' => [['what' => 'move', 'meeting' => 1, 'to' => '2026-01-20'], 'There is another meeting on 2026-01-20 at 19:00. The nearest day that is free is 2026-01-19'],
    'onto a closure' => [['what' => 'move', 'meeting' => 1, 'to' => '2026-01-30'], '2026-01-30 is closed. The nearest day that is open and free is 2026-01-28'],
    'out of the term' => [['what' => 'move', 'meeting' => 1, 'to' => '2026-05-01'], 'from 2026-01-06 to 2026-03-10'],
    'into the past' => [['what' => 'move', 'meeting' => 1, 'to' => '2026-01-05'], 'is not in the term'],
    'too short' => [['what' => 'minutes', 'meeting' => 1, 'minutes' => 5], '10'],
    'shorter than the boxes that are fixed' => [['what' => 'minutes', 'meeting' => 1, 'minutes' => 12], 'The boxes with minutes of their own take', [['what' => 'box', 'box' => 'close', 'minutes' => 13]]],
    'days outside the term' => [['what' => 'close', 'from' => '2026-05-01', 'to' => '2026-05-02'], '2026-05-01 is not in the term, which goes from 2026-01-06 to 2026-03-10'],
    'boxes too long' => [['what' => 'box', 'meeting' => 1, 'box' => 'warm_up', 'minutes' => 61], 'The boxes with minutes of their own take'],
    'a lesson there is not' => [['what' => 'lesson', 'course' => true, 'meeting' => 1, 'number' => 99], 'There is no lesson 99 left'],
    'a lesson before the one it follows' => [['what' => 'lesson', 'course' => true, 'meeting' => 0, 'number' => 3], 'comes before it. The earliest evening for it is'],
    'no such change' => [['what' => 'dance', 'meeting' => 1], 'dance'],
]);

test('two lessons are not pinned to one night, nor one after the one that follows it', function () {
    ($this->change)([['what' => 'lesson', 'course' => $this->course, 'meeting' => $this->ids[4], 'number' => 2]])->assertCreated();
    expect($this->said(($this->change)([['what' => 'lesson', 'course' => $this->course, 'meeting' => $this->ids[4], 'number' => 3]])->assertStatus(422)))->toContain('you put lesson 2 there')
        ->and($this->said(($this->change)([['what' => 'lesson', 'course' => $this->course, 'meeting' => $this->ids[3], 'number' => 3]])->assertStatus(422)))->toContain('Lesson 3 cannot come on 2026-01-27: lesson 2 comes before it. The earliest evening for it is 2026-02-10')
        ->and($this->said(($this->change)([['what' => 'lesson', 'course' => $this->course, 'meeting' => $this->ids[6], 'number' => 1]])->assertStatus(422)))->toContain('cannot come after lesson 2');
});

test('a lesson put on another evening is there, and what it costs is said before it is done', function () {
    $preview = $this->postJson("$this->url/changes/preview", ['changes' => [['what' => 'lesson', 'course' => $this->course, 'meeting' => $this->ids[4], 'number' => 2]]])->assertOk();
    expect($preview->json('cost'))->toBeNumeric()->and(collect($preview->json('meetings'))->firstWhere('id', $this->ids[4])['courses'][0]['lessons'][0]['number'])->toBe(2)
        ->and(($this->meeting)(4)['pins'])->toBe([]); // nothing is done yet
    ($this->change)([['what' => 'lesson', 'course' => $this->course, 'meeting' => $this->ids[4], 'number' => 2]])->assertCreated();
    expect(array_column(($this->meeting)(4)['courses'][0]['lessons'], 'number'))->toContain(2)->and(($this->meeting)(4)['pins'])->toEqual(['lessons' => [$this->course => 2]]);
});

test('nothing new, the focus in words, a box, a passage out and one in: each is kept and shown', function () {
    $this->clockAt('2026-01-06T12:00:00+01:00');
    ($this->change)([
        ['what' => 'nothing_new', 'meeting' => $this->ids[2]], ['what' => 'focus', 'meeting' => $this->ids[2], 'words' => ' shoulders down '],
        ['what' => 'box', 'meeting' => $this->ids[2], 'box' => 'warm_up', 'minutes' => 20],
        ['what' => 'review_in', 'meeting' => $this->ids[2], 'course' => $this->course, 'entries' => ['e02']], ['what' => 'review_out', 'meeting' => $this->ids[2], 'course' => $this->course, 'entries' => ['e01']],
    ])->assertCreated();
    $is = ($this->meeting)(2);
    $reviewed = array_map(fn (array $one) => [$one['from'], $one['to'], $one['isPinned']], $is['courses'][0]['review']);
    expect($is['courses'][0]['lessons'])->toBe([])->and($is['pins']['focus'])->toBe('shoulders down')->and($is['boxes']['warm_up'])->toBe(20)
        ->and($reviewed)->toContain([2, 2, true])->and(array_filter($reviewed, fn (array $one) => $one[0] <= 1))->toBe([])
        ->and($is['courses'][0]['why']['code'])->toBe('plan.why.nothing_new');
});

test('movements are picked one by one for an evening, come out as that, and can be taken back', function () {
    $pick = fn (string ...$entries): array => [['what' => 'review_picked', 'meeting' => $this->ids[3], 'course' => $this->course, 'entries' => $entries]];
    $picked = fn (): array => array_column(array_filter(($this->meeting)(3)['courses'][0]['review'], fn (array $one): bool => $one['isPicked']), 'from');
    ($this->change)($pick('e04', 'e01'))->assertCreated();
    expect($picked())->toBe([1, 4])->and(($this->meeting)(3)['pins']['picked'])->toBe([$this->course => ['e04', 'e01']]);
    ($this->change)([['what' => 'review_out', 'meeting' => $this->ids[3], 'course' => $this->course, 'entries' => ['e01']]])->assertCreated();
    expect($picked())->toBe([4]);
    ($this->change)($pick())->assertCreated();
    expect($picked())->toBe([]);
});

test('a change is taken back whole; pressed twice it is taken back once; and not once somebody went on', function () {
    $before = ($this->show)()['meetings'];
    $id = ($this->change)([['what' => 'cancel', 'meeting' => $this->ids[1]], ['what' => 'add', 'id' => (string) Str::uuid7(), 'on' => '2026-01-10', 'at' => '10:00', 'minutes' => 60]])->json('id');
    $this->postJson("/api/plan-changes/$id/take-back")->assertNoContent();
    $this->postJson("/api/plan-changes/$id/take-back")->assertNoContent();
    expect(($this->show)()['meetings'])->toBe($before)->and($this->getJson("$this->url/changes")->json('0.cause.code'))->toBe('cause.taken_back');
    $other = ($this->change)([['what' => 'cancel', 'meeting' => $this->ids[1]]])->json('id');
    ($this->change)([['what' => 'restore', 'meeting' => $this->ids[1]]])->assertCreated();
    expect($this->said($this->postJson("/api/plan-changes/$other/take-back")->assertStatus(409)))->toContain('changed again since');
});

test('a change that is taken back leaves the days alone that were closed since', function () {
    ($this->change)([['what' => 'nothing_new', 'meeting' => $this->ids[1]]])->assertCreated();
    ($this->change)([['what' => 'close', 'from' => '2026-02-16', 'to' => '2026-02-22']])->assertCreated();
    [$close, $quiet] = $this->getJson("$this->url/changes")->json();
    $this->postJson("/api/plan-changes/{$quiet['id']}/take-back")->assertNoContent();
    expect(($this->show)()['closures'])->toBe([['from' => '2026-02-17', 'to' => '2026-02-17']])->and(($this->meeting)(1)['pins'])->toBe([]);
    ($this->change)([['what' => 'close', 'from' => '2026-03-02', 'to' => '2026-03-04']])->assertCreated();
    $this->postJson("/api/plan-changes/{$close['id']}/take-back")->assertNoContent();
    expect(($this->show)()['closures'])->toBe([['from' => '2026-03-03', 'to' => '2026-03-03']])
        ->and(collect(($this->show)()['meetings'])->firstWhere('on', '2026-02-17')['state'])->toBe('laid')->and(collect(($this->show)()['meetings'])->firstWhere('on', '2026-03-03')['state'])->toBe('cancelled');
});

test('a change is not taken back to where something else is meanwhile, and says what', function (array $then, string $says) {
    $id = ($this->change)([['what' => 'move', 'meeting' => $this->ids[3], 'to' => '2026-01-30']])->assertCreated()->json('id'); // from 27 January
    ($this->change)($then === [] ? [['what' => 'nothing_new', 'meeting' => $this->ids[6]]] : [$then])->assertCreated();
    if ($then === []) {
        $this->clockAt('2026-01-28T12:00:00+01:00');
    }
    $before = ($this->show)();
    expect($this->said($this->postJson("/api/plan-changes/$id/take-back")->assertStatus(409)))->toContain($says)
        ->and(array_column(($this->show)()['meetings'], 'on'))->toBe(array_column($before['meetings'], 'on'));
})->with([
    'another meeting, to the minute' => [['what' => 'add', 'id' => '01890000-0000-7000-8000-000000000001', 'on' => '2026-01-27', 'at' => '19:00', 'minutes' => 60], 'There is another meeting on 2026-01-27 at 19:00'],
    'one that runs into it' => [['what' => 'add', 'id' => '01890000-0000-7000-8000-000000000001', 'on' => '2026-01-27', 'at' => '18:30', 'minutes' => 60], 'There is another meeting on 2026-01-27 at 18:30'],
    'days that were closed' => [['what' => 'close', 'from' => '2026-01-26', 'to' => '2026-01-27'], '2026-01-27 is closed'],
    'its day has gone by' => [[], '2026-01-27 has gone by'],
]);

test('two people changing one term: other evenings are merged, the same one is refused with the name', function () {
    $version = ($this->show)()['version'];
    ($this->change)([['what' => 'cancel', 'meeting' => $this->ids[1]]])->assertCreated();
    $second = $this->colleague($this->user->school, ['name' => 'Bram Reed', 'email' => 'bram@example.test', 'password' => 'a long password', 'role' => Role::Instructor]);
    auth()->forgetGuards();
    $this->flushSession();
    $this->actingAs($second);
    ($this->change)([['what' => 'cancel', 'meeting' => $this->ids[4]]], $version)->assertCreated();
    expect($this->said(($this->change)([['what' => 'minutes', 'meeting' => $this->ids[1], 'minutes' => 90]], $version)->assertStatus(409)))->toContain('Teacher has changed the same evening')
        ->and(($this->meeting)(1)['state'])->toBe('cancelled')->and(($this->meeting)(4)['state'])->toBe('cancelled');
});

test('what was changed can be looked at later: when, by whom, because of what, and what it moved', function () {
    ($this->change)([['what' => 'nothing_new', 'meeting' => $this->ids[1]]])->assertCreated();
    $this->clockAt('2026-01-06T21:00:00+01:00');
    $this->postJson("/api/meetings/{$this->ids[0]}/log", $this->asPlanned($this->inside($this->user->school, fn () => Meeting::findOrFail($this->ids[0])), ['did' => []]))->assertNoContent();
    $all = $this->getJson("$this->url/changes")->assertOk()->json();
    expect($all[0])->toMatchArray(['by' => null, 'canBeTakenBack' => false])->and($all[0]['cause']['code'])->toBe('cause.logged')->and($all[0]['moved'])->not->toBe([])
        ->and($all[1])->toMatchArray(['by' => 'Teacher', 'canBeTakenBack' => true]);
});

test('a change is dated by the day it is at the school, not where the server stands', function () {
    $this->inside($this->user->school, fn () => $this->user->school->update(['timezone' => 'Pacific/Auckland']));
    $this->clockAt('2026-01-06T12:30:00Z'); // the seventh has begun there
    ($this->change)([['what' => 'nothing_new', 'meeting' => $this->ids[1]]])->assertCreated()->assertJsonPath('at', '2026-01-07T01:30:00+13:00');
    expect($this->getJson("$this->url/changes")->json('0.at'))->toBe('2026-01-07T01:30:00+13:00');
});

test('who joins or leaves has the running terms planned again, because of that', function () {
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => ['Dee']])->assertSuccessful();
    $asked = fn (): int => ($this->show)()['version'];
    $before = $asked();
    $student = $this->getJson("/api/groups/{$this->group->id}")->json('students.0.id');
    $this->deleteJson("/api/groups/{$this->group->id}/students", ['students' => [$student]])->assertNoContent();
    expect($asked())->toBe($before + 1)->and($this->inside($this->user->school, fn () => Term::first()->isBeingPlanned()))->toBeFalse();
});

test('a second course takes its share, is changed and removed, and the term is planned again each time', function () {
    $other = $this->inside($this->user->school, fn () => app(App\Actions\SaveForm::class)(app(App\Actions\ReadForm::class)("# Old set\n1. One\n2. Two\n3. Three\n4. Four\n")->form));
    $this->postJson("$this->url/courses", ['form' => $other->id, 'approach' => 'outline', 'share' => 0.3])->assertCreated();
    $courses = ($this->show)()['courses'];
    expect(array_column($courses, 'share'))->toEqual([0.7, 0.3])->and(($this->meeting)(0)['courses'])->toHaveCount(2);
    expect($this->said($this->postJson("$this->url/courses", ['form' => $other->id, 'approach' => 'piece', 'share' => 0.3])->assertStatus(422)))->toContain('is in this term already');
    $this->patchJson("/api/courses/{$courses[1]['id']}", ['approach' => 'piece', 'rhythm' => 0, 'showing' => ['on' => '2026-03-03', 'to' => 2]])->assertOk();
    expect(($this->show)()['courses'][1])->toMatchArray(['approach' => 'piece', 'rhythm' => 0, 'showingOn' => '2026-03-03', 'showingTo' => 2]);
    expect($this->said($this->patchJson("/api/courses/{$courses[1]['id']}", ['showing' => ['on' => '2026-05-03', 'to' => 2]])->assertStatus(422)))->toContain('choose one of these days');
    $this->deleteJson("/api/courses/{$courses[1]['id']}")->assertNoContent();
    expect(array_column(($this->show)()['courses'], 'share'))->toEqual([1.0]);
    expect($this->said($this->deleteJson("/api/courses/{$courses[0]['id']}")->assertStatus(422)))->toContain('A term needs a course');
    // and the last one back
    $this->postJson('/api/plan-changes/'.$this->getJson("$this->url/changes")->json('0.id').'/take-back')->assertNoContent();
    expect(array_column(($this->show)()['courses'], 'id'))->toEqualCanonicalizing(array_column($courses, 'id'));
});

test('what is asked is computed in the background, is there when one comes back, and is asked once', function () {
    Queue::fake();
    $ask = fn () => $this->postJson("$this->url/questions", ['kind' => 'minutes', 'course' => $this->course]);
    $first = $ask()->assertCreated()->json();
    expect($first)->toMatchArray(['state' => 'waiting', 'progress' => 0])->and($ask()->json('id'))->toBe($first['id']);
    Queue::assertPushed(App\Jobs\AnswerQuestionJob::class, 1);
    app()->call([new App\Jobs\AnswerQuestionJob($this->user->school_id, $first['id']), 'handle']);
    $answer = collect($this->getJson("$this->url/questions")->json())->firstWhere('id', $first['id']);
    expect($answer['state'])->toBe('done')->and($answer['progress'])->toBe(100)->and($answer['answer'])->toHaveKey('minutes');
});

test('how far by the showing: the answer, taken over, holds there; and an answer about an older plan is asked again', function () {
    // Forty movements are far more than seven weeks hold, and the first of them are there by then, whoever comes.
    ['user' => $user, 'term' => $term] = $this->school('Long', "# Long\n".implode("\n", array_map(fn (int $at) => "$at. Reed $at", range(1, 40))));
    auth()->forgetGuards();
    $this->flushSession();
    $this->actingAs($user);
    $this->url = "/api/terms/$term->id";
    $this->course = ($this->show)()['courses'][0]['id'];
    $this->patchJson("/api/courses/$this->course", ['showing' => ['on' => '2026-02-24', 'to' => 40]])->assertOk();
    expect(($this->show)()['courses'][0]['forecast']['showingHolds'])->toBeFalse();
    $furthest = $this->postJson("$this->url/questions", ['kind' => 'furthest', 'course' => $this->course])->assertCreated()->json();
    $to = collect($this->getJson("$this->url/questions")->json())->firstWhere('id', $furthest['id'])['answer']['to'];
    expect($to)->toBeGreaterThan(0)->toBeLessThan(40);
    $this->postJson("/api/plan-questions/{$furthest['id']}/take-over")->assertCreated();
    $course = ($this->show)()['courses'][0];
    expect($course['target'])->toBe(['from' => 1, 'to' => $to])->and($course['showingTo'])->toBe($to)->and($course['forecast']['showingHolds'])->toBeTrue();
    expect($this->said($this->postJson("/api/plan-questions/{$furthest['id']}/take-over")->assertStatus(409)))->toContain('ask again');
});

test('the fewest extra meetings and minutes: an answer, none, or what is there already is enough', function () {
    $answer = function (string $kind): array {
        $asked = $this->postJson("$this->url/questions", ['kind' => $kind, 'course' => $this->course])->assertCreated()->json();

        return [$asked['id'], collect($this->getJson("$this->url/questions")->json())->firstWhere('id', $asked['id'])['answer']];
    };
    [$id, $enough] = $answer('meetings');
    expect($enough['days'])->toBe([])->and($this->said($this->postJson("/api/plan-questions/$id/take-over")->assertStatus(422)))->toContain('like this already');
    ($this->change)([['what' => 'close', 'from' => '2026-01-13', 'to' => '2026-03-10'], ['what' => 'add', 'id' => (string) Str::uuid7(), 'on' => '2026-01-12', 'at' => '19:00', 'minutes' => 30]])->assertCreated();
    [$id, $none] = $answer('minutes');
    expect($none['minutes'])->toBeNull()->and($this->said($this->postJson("/api/plan-questions/$id/take-over")->assertStatus(422)))->toContain('nothing to take over');
    [$id, $more] = $answer('meetings');
    expect(count($more['days'] ?? []))->toBeGreaterThan(0)->and(max($more['days']))->toBeLessThan('2026-01-12');
    $this->postJson("/api/plan-questions/$id/take-over")->assertCreated();
    expect(($this->show)()['courses'][0]['forecast']['left'])->toBe([]);
});

test('three plans of the term stand side by side, and one is taken over', function () {
    $asked = $this->postJson("$this->url/questions", ['kind' => 'compare', 'course' => $this->course, 'plans' => [['approach' => 'piece'], ['approach' => 'outline', 'minutes' => 15], ['approach' => 'sides', 'extra' => 1, 'to' => 6]]])->assertCreated()->json();
    $plans = collect($this->getJson("$this->url/questions")->json())->firstWhere('id', $asked['id'])['answer']['plans'];
    expect($plans)->toHaveCount(3)->and($plans[0]['expected'])->toEqualWithDelta(array_sum(array_column(array_column(($this->show)()['courses'], 'forecast'), 'expected')), 1e-9)
        ->and(array_unique(array_column($plans[1]['meetings'], 'minutes')))->toBe([75])->and($plans[2]['meetings'])->toHaveCount(11)
        ->and(array_column(array_column(array_column($plans[0]['meetings'], 'courses'), 0), 'taught'))->toBe(array_column(($this->show)()['meetings'], 'taughtAfter'));
    // Its meeting more, its target and its approach are one change, told as one and taken back as one.
    $before = ($this->show)();
    $taken = $this->postJson("/api/plan-questions/{$asked['id']}/take-over", ['plan' => 2])->assertCreated();
    expect(($this->words)($taken))->toContain('A meeting is added on')
        ->and(($this->show)()['courses'][0])->toMatchArray(['approach' => 'sides', 'target' => ['from' => 1, 'to' => 6]])->and(($this->show)()['meetings'])->toHaveCount(11);
    $history = $this->getJson("$this->url/changes")->json();
    expect(array_column(array_column($history, 'cause'), 'code'))->toBe(['cause.taken_over']);
    $this->postJson("/api/plan-changes/{$history[0]['id']}/take-back")->assertNoContent();
    expect(array_column(($this->show)()['meetings'], 'on'))->toBe(array_column($before['meetings'], 'on'))
        ->and(($this->show)()['courses'][0])->toMatchArray(['approach' => 'piece', 'target' => $before['courses'][0]['target']]);
    $asked = $this->postJson("$this->url/questions", ['kind' => 'compare', 'course' => $this->course, 'plans' => [['approach' => 'piece'], ['approach' => 'outline', 'minutes' => 15]]])->assertCreated()->json();
    $this->postJson("/api/plan-questions/{$asked['id']}/take-over", ['plan' => 1])->assertCreated();
    $term = ($this->show)();
    expect($term['courses'][0]['approach'])->toBe('outline')->and($term['meetings'][0]['minutes'])->toBe(75)
        ->and($term['courses'][0]['forecast']['expected'])->toEqualWithDelta($plans[1]['expected'], 1e-9);
});

test('what a lesson would cost on the other evenings is worked out', function () {
    $asked = $this->postJson("$this->url/questions", ['kind' => 'places', 'course' => $this->course, 'number' => 2])->assertCreated()->json();
    $places = collect($this->getJson("$this->url/questions")->json())->firstWhere('id', $asked['id'])['answer']['places'];
    expect(count($places))->toBeGreaterThan(2)->and(array_column($places, 'on'))->not->toContain('2026-01-06');
});

test('an assistant reads a plan and its history and changes neither', function () {
    $assistant = $this->colleague($this->user->school, ['name' => 'A', 'email' => 'a@example.test', 'password' => 'a long password', 'role' => Role::Assistant]);
    auth()->forgetGuards();
    $this->flushSession();
    $this->actingAs($assistant);
    ($this->show)();
    $this->getJson("$this->url/changes")->assertOk();
    ($this->change)([['what' => 'cancel', 'meeting' => $this->ids[1]]])->assertForbidden();
    $this->postJson("$this->url/questions", ['kind' => 'minutes'])->assertForbidden();
    $this->patchJson("/api/courses/$this->course", ['share' => 0.5])->assertForbidden();
    $this->postJson("/api/groups/{$this->group->id}/feed")->assertForbidden();
});

test('an evening that went by or does not take place is neither changed nor logged', function () {
    ($this->change)([['what' => 'cancel', 'meeting' => $this->ids[2], 'reason' => 'snow']])->assertCreated();
    $this->clockAt('2026-01-21T12:00:00+01:00');
    expect($this->said(($this->change)([['what' => 'restore', 'meeting' => $this->ids[2]]])->assertStatus(422)))->toContain('is over or logged')
        ->and($this->said($this->postJson("/api/meetings/{$this->ids[2]}/log", $this->asPlanned($this->inside($this->user->school, fn () => Meeting::findOrFail($this->ids[2]))))->assertStatus(422)))->toContain('did not take place')
        ->and(array_column($this->getJson('/api/today')->json('unsaid'), 'meetingId'))->not->toContain($this->ids[2]);
});

test('a term that is over is not changed', function () {
    $this->clockAt('2026-04-01T12:00:00+02:00');
    expect($this->said(($this->change)([['what' => 'close', 'from' => '2026-02-01', 'to' => '2026-02-02']])->assertStatus(409)))->toContain('its plan stays as it is')
        ->and($this->said($this->patchJson("/api/courses/$this->course", ['share' => 0.5])->assertStatus(409)))->toContain('its plan stays as it is');
});
