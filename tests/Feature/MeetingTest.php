<?php

declare(strict_types=1);

use App\Models\Meeting;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T18:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->meetings = $this->meetings($this->term);
    $this->actingAs($this->user);
    $this->show = fn (int $number): array => $this->getJson("/api/meetings/{$this->meetings[$number]->id}")->assertOk()->json();
});

test('a meeting says its plan, its season and who may come', function () {
    $page = ($this->show)(2);
    expect($page['meeting'])->toMatchArray(['on' => '2026-01-20', 'startsAt' => '2026-01-20T19:00:00+01:00', 'minutes' => 60, 'isToday' => true, 'isPast' => false, 'isHeld' => false, 'kind' => 'lesson', 'lessonNumbers' => [1]])
        ->and(array_sum($page['meeting']['boxes']))->toBe(60)
        ->and(array_keys($page['meeting']['boxes']))->toBe(['settle', 'warm_up', 'review', 'new', 'run_through', 'free', 'close']) // it works on no principles, and so has no focus
        ->and($page['season'])->toHaveCount(10)->and($page['formId'])->toBe($this->form->id)
        ->and(array_column($page['students'], 'name'))->toBe(['Ada', 'Bo', 'Cy'])
        ->and($page['attendance'])->toBe([])->and($page['guests'])->toBe([])
        ->and($page['logId'])->toBeNull();
});

test('a meeting of another day knows that it is not today', function () {
    expect(($this->show)(0)['meeting'])->toMatchArray(['isToday' => false, 'isPast' => true])
        ->and(($this->show)(3)['meeting'])->toMatchArray(['isToday' => false, 'isPast' => false]);
});

test('the plan of a logged class stays as it was, whatever happens to the form', function () {
    $log = $this->asPlanned($this->meetings[2]);
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/log", $log)->assertNoContent();
    $held = ($this->show)(2);
    expect($held['logId'])->toBe($log['id'])->and($held['meeting']['isHeld'])->toBeTrue()->and($held['attendance'])->toHaveCount(3);
    $this->putJson("/api/forms/{$this->form->id}/joins", ['joins' => [['after' => 5, 'pin' => 'always']]])->assertOk();
    $again = ($this->show)(2);
    expect($again['meeting'])->toEqual($held['meeting']);
    $next = collect($this->getJson("/api/terms/{$this->term->id}")->json('meetings'))->first(fn (array $row): bool => ! $row['isPast'] && ! $row['isHeld'] && $row['lesson'] !== null);
    expect($next['lesson']['from'])->toBe($held['meeting']['lesson']['to'] + 1);
});

test('cut again, taken back and logged again, a class says what was done and not another passage', function () {
    $log = $this->asPlanned($this->meetings[2]);
    $url = "/api/meetings/{$this->meetings[2]->id}/log";
    $this->postJson($url, $log)->assertNoContent();
    $done = ($this->show)(2)['meeting']['lesson'];
    $this->putJson("/api/forms/{$this->form->id}/joins", ['joins' => [['after' => 1, 'pin' => 'always'], ['after' => 2, 'pin' => 'always']]])->assertOk();
    $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => (string) Str::ulid(), 'of' => $log['id'], 'at' => now()->toRfc3339String()]]])->assertNoContent();
    $this->postJson($url, $this->asPlanned($this->meetings[2]))->assertNoContent();
    expect(($this->show)(2)['meeting']['lesson'])->toBe($done);
});

test('after a first lesson the next meeting reviews it, and leads in from it', function () {
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/log", $this->asPlanned($this->meetings[2], ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02', 'e03']]]]))->assertNoContent();
    $this->clockAt('2026-01-27T18:00:00+01:00');
    $next = ($this->show)(3)['meeting'];
    expect($next['lesson']['from'])->toBe(4)->and($next['recap']['to'])->toBe(3)
        ->and($this->inside($this->user->school, fn () => $this->meetings[3]->fresh()->planned()->courses[0]->why->with['recall']))->toBe(66); // taught a week ago: worked example, 0.6645
});

test('who was noted away is kept, and noting again replaces it', function () {
    [$ada, $bo] = array_column(($this->show)(2)['students'], 'id');
    $url = "/api/meetings/{$this->meetings[2]->id}/attendance";
    $this->putJson($url, ['attendance' => [$ada => ['isHere' => false], $bo => ['isHere' => true]]])->assertNoContent();
    $this->putJson($url, ['attendance' => [$ada => ['isHere' => false]]])->assertNoContent(); // sent twice
    expect(array_column(($this->show)(2)['attendance'], 'isHere'))->toBe([false, true]);
    $this->putJson($url, ['attendance' => [$ada => ['isHere' => true]]])->assertNoContent();
    expect(($this->show)(2)['attendance'][$ada]['isHere'])->toBeTrue();
});

test('attendance that makes no sense is refused', function (mixed $present) {
    $this->putJson("/api/meetings/{$this->meetings[2]->id}/attendance", ['attendance' => $present])->assertUnprocessable();
})->with([
    'nothing' => [null],
    'a text' => ['all'],
    'maybe' => [['00000000-0000-7000-8000-000000000000' => ['isHere' => 'maybe']]],
]);

test('marks of a meeting are listed until they are taken back', function () {
    $page = ($this->show)(2);
    $mark = $this->mark($page['students'][0]['id'], $this->getJson("/api/forms/{$page['formId']}")->json('entries.0.id'));
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [$mark]])->assertOk();
    expect(($this->show)(2)['marks'])->toHaveCount(1)
        ->and(($this->show)(2)['marks'][0])->toMatchArray(['id' => $mark['id'], 'support' => 'Alone', 'side' => null])
        ->and(($this->show)(3)['marks'])->toBe([]);
    $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => (string) Str::ulid(), 'of' => $mark['id'], 'at' => now()->toRfc3339String()]]])->assertNoContent();
    expect(($this->show)(2)['marks'])->toBe([]);
});

test('plans name entries by their ids in the form, not by their place', function () {
    $plan = $this->inside($this->user->school, fn () => Meeting::find($this->meetings[2]->id)->planned());
    expect($plan?->courses[0]->lesson?->entries[0])->toBe('e01')->and($plan->on)->toBe('2026-01-20');
});

test('a log that makes no sense is refused', function (array $change, string $key) {
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/log", $this->asPlanned($this->meetings[2], $change))
        ->assertUnprocessable()->assertJsonPath('place', $key);
    expect($this->inside($this->user->school, fn () => App\Models\LoggedClass::count()))->toBe(0);
})->with([
    'no id' => [['id' => null], '$'],
    'an id of another kind' => [['id' => '7'], 'id'],
    'no offset' => [['made_at' => '2026-01-20T20:00:00'], '$.made_at'],
    'another day' => [['on' => '2026-01-27'], 'on'],
    'someone who is not here' => [['present' => ['00000000-0000-7000-8000-000000000000']], 'present'],
    'someone who is no id' => [['present' => ['Ada']], 'present'],
    'no entry of the form' => [['did' => [['what' => 'taught', 'entries' => ['e99']]]], 'did.0.entries'],
    'no form of the term' => [['did' => [['what' => 'taught', 'form' => 'x', 'entries' => ['e01']]]], 'did.0.form'],
    'a guest without an id of their own' => [['guests' => [['id' => '7', 'name' => 'Una']]], 'guests.0.id'],
]);

test('a log of a clock that runs fast is taken, for the day of the meeting', function () {
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/log", $this->asPlanned($this->meetings[2], ['made_at' => '2026-03-20T20:00:00Z']))->assertNoContent();
    $row = $this->inside($this->user->school, fn () => App\Models\LoggedClass::first());
    expect($row->on)->toBe('2026-01-20')->and($row->clock_ahead)->toBeGreaterThan(50 * 86400);
});

test('a meeting that is still to come cannot be logged', function () {
    $this->postJson("/api/meetings/{$this->meetings[3]->id}/log", $this->asPlanned($this->meetings[3]))
        ->assertUnprocessable()
        ->tap(fn ($answer) => expect($this->said($answer))->toBe('This meeting is still to come. Log it on its day or after.'));
    expect(($this->show)(3)['meeting']['isHeld'])->toBeFalse();
});

test('a meeting that went by is logged afterwards, and its lesson is not given twice', function () {
    $this->clockAt('2026-01-23T09:00:00+01:00');
    $late = ($this->show)(2)['meeting'];
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/log", $this->asPlanned($this->meetings[2]))->assertNoContent();
    $lessons = [];
    foreach ($this->getJson("/api/terms/{$this->term->id}")->json('meetings') as $row) {
        if ($row['lesson'] !== null && ($row['isHeld'] || ! $row['isPast'])) {
            $lessons[] = $row['lesson'];
        }
    }
    expect($lessons[0])->toBe($late['lesson'])
        ->and(array_column($lessons, 'from'))->toBe(array_values(array_unique(array_column($lessons, 'from'))));
});

test('two groups on one evening stand on Today as each stands on its own page, whatever the other learns', function () {
    $this->clockAt('2026-01-20T18:00:00+01:00');
    $form = $this->postJson('/api/forms', ['text' => "# Other set\n1. Reed\n2. Heron (L)\n3. Heron (R)\n4. Wade\n5. Rest\n"])->assertCreated()->json('id');
    foreach ([['Wednesday people', $this->form->id, 3], ['Others', $form, 2]] as [$name, $of, $to]) {
        $group = $this->postJson('/api/groups', ['name' => $name, 'form' => $of, 'students' => ["Zoe of $name", "anna of $name", "Bea of $name"]])->assertCreated()->json('id');
        $this->postJson('/api/terms', ['group' => $group, 'title' => $name, 'from' => '2026-01-13', 'to' => '2026-03-03', 'pattern' => [['weekday' => 'Tue', 'at' => '20:30', 'minutes' => 60]], 'closures' => [], 'approach' => 'piece'])->assertCreated();
        $this->postJson("/api/groups/$group/before", ['id' => (string) Str::ulid(), 'to' => $to, 'on' => '2026-01-02', 'at' => now()->toRfc3339String()])->assertNoContent();
    }
    $this->getJson('/api/today')->assertOk(); // a plan that is asked for is made before the next
    $today = $this->getJson('/api/today')->assertOk()->json('meetings');
    expect(array_column(array_column($today, 'term'), 'groupName'))->toEqualCanonicalizing(['Tuesdays', 'Wednesday people', 'Others']);
    foreach ($today as $one) {
        $page = $this->getJson("/api/meetings/{$one['meeting']['id']}")->assertOk()->json();
        $ready = array_count_values(array_filter(array_column($page['students'], 'ready')));
        foreach (['term', 'meeting', 'formId', 'courseId', 'taught', 'season', 'closures', 'courses', 'principles', 'warmUps', 'care'] as $part) {
            expect($one[$part])->toBe($page[$part], $part);
        }
        expect($one['readiness'])->toMatchArray(['ready' => $ready['ready'] ?? 0, 'look' => $ready['look'] ?? 0, 'notYet' => $ready['not_yet'] ?? $ready['notYet'] ?? 0]);
    }
});

test('a meeting that went by without a word is asked about, and the rest is planned as if it was not held', function () {
    $this->clockAt('2026-01-23T09:00:00+01:00');
    $unsaid = $this->getJson('/api/today')->assertOk()->json('unsaid');
    expect(array_column($unsaid, 'on'))->toBe(['2026-01-20', '2026-01-13', '2026-01-06']);
    $this->getJson("/api/terms/{$this->term->id}")->assertJsonPath('term.isBeingPlanned', true); // and is planned, once it was asked
    $next = collect($this->getJson("/api/terms/{$this->term->id}")->json('meetings'))->first(fn (array $row): bool => ! $row['isPast'] && $row['lesson'] !== null);
    expect($next['lessonNumbers'])->toBe([1]);
});

test('what today answers is small: the form and everybody’s cells are asked for where they are shown', function () {
    $today = $this->getJson('/api/today')->assertOk();
    expect($today->json('meetings.0'))->toHaveKeys(['formId', 'courseId', 'readiness'])->not->toHaveKey('form')
        ->and($today->json('meetings.0.readiness'))->toBe(['ready' => 0, 'look' => 0, 'notYet' => 0, 'of' => 3])
        ->and(strlen($today->getContent()))->toBeLessThan(7000);
});
