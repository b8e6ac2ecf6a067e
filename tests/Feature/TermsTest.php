<?php

declare(strict_types=1);

use App\Models\Term;

beforeEach(function () {
    $this->clockAt('2026-01-01T12:00:00+01:00');
    ['user' => $this->user, 'group' => $this->group, 'term' => $this->term, 'form' => $this->form] = $this->school();
    $this->actingAs($this->user);
    $this->given = ['group' => $this->group->id, 'title' => 'Spring', 'from' => '2026-03-01', 'to' => '2026-05-30', 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60]], 'closures' => [['from' => '2026-04-01', 'to' => '2026-04-10'], ['from' => '2026-04-05', 'to' => '2026-04-15']], 'approach' => 'piece'];
});

test('a term is laid with its meetings, boxes and lessons', function () {
    $id = $this->postJson('/api/terms', $this->given)->assertCreated()->json('id');
    $term = $this->getJson("/api/terms/$id")->assertOk()->json();
    expect($term['meetings'])->toHaveCount(11)
        ->and(array_column($term['meetings'], 'on'))->not->toContain('2026-04-07', '2026-04-14')
        ->and($term['meetings'][0]['startsAt'])->toBe('2026-03-03T19:00:00+01:00')
        ->and($term['meetings'][4]['startsAt'])->toBe('2026-03-31T19:00:00+02:00');
    foreach ($term['meetings'] as $meeting) {
        expect(array_sum($meeting['boxes']))->toBe(60);
    }
});

test('a change of the form lays its running terms anew', function () {
    $lessons = fn (): array => $this->getJson("/api/terms/{$this->term->id}")->json('meetings.0.courses.0.lessons');
    $before = $lessons();
    $this->putJson("/api/forms/{$this->form->id}/joins", ['joins' => [['after' => 2, 'pin' => 'always']]])->assertOk();
    expect($lessons())->not->toBe($before);
});

test('a term that cannot be is refused with its reason, and none is made', function (array $change, string $says) {
    $answer = $this->postJson('/api/terms', [...$this->given, ...$change])->assertUnprocessable();
    expect($this->said($answer))->toContain($says)->not->toContain('$.')->and($this->inside($this->user->school, fn () => Term::count()))->toBe(1);
})->with([
    'ends before it starts' => [['to' => '2026-02-01'], 'before it starts'],
    'no meeting' => [['to' => '2026-03-01'], 'no meeting'],
    'closed throughout' => [['closures' => [['from' => '2026-01-01', 'to' => '2026-12-31']]], 'no meeting'],
    'closure backwards' => [['closures' => [['from' => '2026-04-10', 'to' => '2026-04-01']]], 'before it starts'],
    'no first day' => [['from' => ''], 'The first day is missing.'],
    'no minutes' => [['pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 0]]], 'must be at least 10.'],
    'no such time' => [['pattern' => [['weekday' => 'Tue', 'at' => '25:00', 'minutes' => 60]]], '"25:00" is not a time of day'],
    'NUL in the name' => [['title' => "Spr\0ing"], 'NUL'],
    'no weekday' => [['pattern' => []], 'weekly pattern'],
    'another school’s group' => [['group' => '00000000-0000-7000-8000-000000000000'], 'not in this school'],
    'daily for years' => [['to' => '2030-03-01', 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60], ['weekday' => 'Wed', 'at' => '19:00', 'minutes' => 60]]], 'at most 400'],
]);

test('a time that does not exist on the changing day is moved, and said before the term is laid', function () {
    $given = [...$this->given, 'pattern' => [['weekday' => 'Sun', 'at' => '02:30', 'minutes' => 60]]];
    $dates = $this->postJson('/api/terms/preview', $given)->assertOk()->json();
    expect($dates['warnings'][0])->code->toBe('dates.clock_change')->with->day->toBe('2026-03-29')->and(collect($dates['meetings'])->firstWhere('on', '2026-03-29')['startsAt'])->toBe('2026-03-29T03:30:00+02:00');
    $this->postJson('/api/terms', $given)->assertCreated();
});

test('today shows tonight’s plan, by the clock where the school is', function () {
    $this->clockAt('2026-01-06T10:00:00+01:00');
    $this->getJson('/api/today')->assertOk()->assertJsonCount(1, 'meetings')->assertJsonPath('meetings.0.meeting.lessonNumbers', [1])->assertJsonPath('next.on', '2026-01-13');
    $this->clockAt('2026-01-06T23:30:00+00:00'); // past midnight in Berlin
    $this->getJson('/api/today')->assertJsonPath('today', '2026-01-07')->assertJsonCount(0, 'meetings');
});

test('a new school is told what to do first', function () {
    auth()->forgetGuards();
    $this->flushSession();
    $this->actingAs($this->found('Empty School'));
    $this->getJson('/api/today')->assertOk()->assertJsonPath('hasForms', false)->assertJsonPath('next', null);
});

test('past meetings never logged stay as they were, and their lesson is still to come', function () {
    $this->clockAt('2026-01-14T10:00:00+01:00');
    $this->getJson('/api/today')->assertOk();
    $this->getJson("/api/terms/{$this->term->id}")->assertJsonPath('term.isBeingPlanned', true); // and is planned, once it was asked
    $meetings = $this->getJson("/api/terms/{$this->term->id}")->json('meetings');
    expect($meetings[0]['isPast'])->toBeTrue()->and($meetings[0]['isHeld'])->toBeFalse()
        ->and($meetings[2]['lessonNumbers'])->toBe([1]);
});

test('the next term is of the group whose turn it is, after its last, and of whichever is asked for', function () {
    $last = $this->inside($this->user->school, fn () => App\Models\Term::firstOrFail());
    $next = $this->getJson('/api/terms/next')->assertOk()->json();
    expect($next)->group->toBe($this->group->id)->after->toBe($last->id)->afterTitle->toBe($last->title)
        ->pattern->toEqual($last->pattern)
        ->and($next['from'])->toBeGreaterThan($last->ends_on);
    // A group that has had none comes first.
    $free = $this->postJson('/api/groups', ['name' => 'Zenith', 'form' => $this->group->form_id, 'students' => []])->assertCreated()->json('id');
    $this->getJson('/api/terms/next')->assertJson(['group' => $free, 'after' => null, 'approach' => 'piece']);
    $this->getJson("/api/terms/next?group={$this->group->id}")->assertJson(['group' => $this->group->id, 'after' => $last->id]);
    $this->getJson("/api/terms/next?group=$free&after=$last->id")->assertJson(['group' => $this->group->id, 'after' => $last->id]);
    // One that is gone, or of somebody else: the next turn.
    $this->getJson('/api/terms/next?group=00000000-0000-7000-8000-000000000000&after=00000000-0000-7000-8000-000000000000')->assertOk()->assertJson(['group' => $free]);
    $this->getJson('/api/terms/next?group=x&after=y')->assertOk()->assertJson(['group' => $free]);
});

test('a school without groups is offered a term of nobody', function () {
    auth()->forgetGuards();
    $this->flushSession();
    $this->actingAs($this->found('Empty School'));
    $this->getJson('/api/terms/next')->assertOk()->assertJson(['group' => null, 'after' => null]);
});

test('a sketch says what the term would come to, and leaves nothing behind', function () {
    $draft = ['group' => $this->group->id, 'title' => 'Spring', 'from' => '2026-04-01', 'to' => '2026-06-30', 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60]], 'closures' => [['from' => '2026-05-01', 'to' => '2026-05-14']], 'approach' => 'piece'];
    $counts = fn (): array => $this->inside($this->user->school, fn () => [App\Models\Term::count(), App\Models\Meeting::count(), App\Models\Course::count(), App\Models\KeptLesson::count(), DB::table('jobs')->count()]);
    $before = $counts();
    $sketch = $this->postJson('/api/terms/sketch', $draft)->assertOk()->json();
    expect($counts())->toBe($before);
    $laid = $this->getJson('/api/terms/'.$this->postJson('/api/terms', $draft)->assertCreated()->json('id'))->json();
    $told = fn (array $term): array => array_map(fn (array $row): array => [$row['on'], $row['kind'], $row['lesson']], $term['meetings']);
    // The draws of a plan rest on its term, so that the same draft comes to the same dates, and to much the same plan.
    expect(array_column($told($sketch), 0))->toBe(array_column($told($laid), 0))
        ->and($sketch['courses'][0]['form'])->toBe($laid['courses'][0]['form'])
        ->and($sketch['courses'][0]['forecast']['movements'])->toEqualWithDelta($laid['courses'][0]['forecast']['movements'], 2);
    $this->postJson('/api/terms/sketch', ['from' => '2026-06-30', 'to' => '2026-04-01'] + $draft)->assertUnprocessable();
    expect($counts()[0])->toBe($before[0] + 1);
});
