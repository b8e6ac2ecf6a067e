<?php

declare(strict_types=1);

use App\Models\Group;
use App\Models\GroupMember;
use App\Models\Student;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->meetings = $this->meetings($this->term);
    $this->actingAs($this->user);
    $this->show = fn (string $query = ''): array => $this->getJson("/api/groups/{$this->group->id}$query")->assertOk()->json();
    $this->named = fn (array $group, string $name): array => collect($group['students'])->firstWhere('name', $name);
    $this->log = function (int $number, string $at, array $away = []): void {
        $this->clockAt($at);
        $ids = collect(($this->show)()['students'])->pluck('id', 'name');
        $url = "/api/meetings/{$this->meetings[$number]->id}";
        foreach ($away as $name) {
            $this->putJson("$url/attendance", ['attendance' => [$ids[$name] => ['isHere' => false]]])->assertNoContent();
        }
        $this->postJson("$url/log", $this->asPlanned($this->meetings[$number]))->assertNoContent();
    };
});

test('a new group has its students by name and nothing taught', function () {
    $group = ($this->show)();
    expect(array_column($group['students'], 'name'))->toBe(['Ada', 'Bo', 'Cy'])
        ->and($group['taught'])->toBe([])
        ->and($group['nextLesson'])->toBe(1)
        ->and($group['nextRecap'])->toBeNull()
        ->and($group['students'][0])->toMatchArray(['frontier' => null, 'holding' => 0, 'holes' => [], 'behind' => [], 'missed' => [], 'ready' => null, 'why' => []]);
});

test('what was taught while someone was away is missed, until they were taught it, seen in it, or met it on three evenings', function () {
    ($this->log)(2, '2026-01-20T20:00:00+01:00', ['Bo']);
    $taught = ($this->show)()['taught'];
    expect(($this->named)(($this->show)(), 'Bo')['missed'])->toBe($taught)
        ->and(($this->named)(($this->show)(), 'Ada')['missed'])->toBe([]);
    ($this->log)(3, '2026-01-27T20:00:00+01:00'); // its recap and its review go through all of it: everyone meets it
    expect(array_intersect(($this->named)(($this->show)(), 'Bo')['missed'], $taught))->toBe($taught)
        ->and(array_slice(($this->show)()['taught'], 0, count($taught)))->toBe($taught);
    $bo = ($this->named)(($this->show)(), 'Bo')['id'];
    $first = $this->getJson('/api/forms/'.($this->show)()['form']['id'])->json('entries')[$taught[0] - 1]['id'];
    $this->postJson("/api/meetings/{$this->meetings[3]->id}/marks", ['marks' => [$this->mark($bo, $first, 'Cued')]])->assertOk();
    expect(array_intersect(($this->named)(($this->show)(), 'Bo')['missed'], $taught))->toBe(array_slice($taught, 1));
    foreach ([4 => '2026-02-03', 5 => '2026-02-10'] as $number => $on) {
        $this->clockAt("{$on}T20:00:00+01:00");
        expect(array_intersect(($this->named)(($this->show)(), 'Bo')['missed'], $taught))->toBe(array_slice($taught, 1));
        $log = [...$this->asPlanned($this->meetings[$number]), 'did' => [['what' => 'reviewed', 'entries' => array_map(static fn (int $position): string => sprintf('e%02d', $position), $taught)]]];
        $this->postJson("/api/meetings/{$this->meetings[$number]->id}/log", $log)->assertNoContent();
    }
    expect(array_intersect(($this->named)(($this->show)(), 'Bo')['missed'], $taught))->toBe([]);
});

test('who is not ready for the next lesson is known by its lead-in', function () {
    ($this->log)(2, '2026-01-20T20:00:00+01:00', ['Bo']);
    $this->clockAt('2026-01-27T20:00:00+01:00');
    $group = ($this->show)();
    $lead = range($group['nextRecap']['from'], $group['nextRecap']['to']);
    expect(($this->named)($group, 'Bo'))->ready->toBe('not_yet')
        ->and(array_column(($this->named)($group, 'Bo')['why'], 'reason', 'position'))->toBe(array_fill_keys($lead, 'never_met'))
        ->and(($this->named)($group, 'Ada'))->ready->toBe('look') // taught a week ago, and never seen
        ->and(array_column(($this->named)($group, 'Ada')['why'], 'reason', 'position'))->toBe(array_fill_keys($lead, 'not_seen'));
    $ada = ($this->named)($group, 'Ada')['id'];
    $marks = array_map(fn (int $position) => $this->mark($ada, $this->getJson("/api/forms/{$group['form']['id']}")->json('entries')[$position - 1]['id'], 'Cued'), $lead);
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => $marks])->assertOk();
    expect(($this->named)(($this->show)(), 'Ada'))->ready->toBe('ready')->why->toBe([]);
});

test('the map of an earlier day shows what was known then', function () {
    ($this->log)(2, '2026-01-20T20:00:00+01:00');
    $ada = ($this->named)(($this->show)(), 'Ada')['id'];
    $entry = $this->getJson("/api/forms/{$this->form->id}")->json('entries.0.id');
    $this->clockAt('2026-01-27T20:00:00+01:00');
    $this->postJson("/api/meetings/{$this->meetings[3]->id}/marks", ['marks' => [$this->mark($ada, $entry)]])->assertOk();
    $cell = function (string $day): ?array {
        $cell = ($this->named)(($this->show)("?on=$day"), 'Ada')['cells'][0] ?? null;

        return $cell === null ? null : self::cell($cell);
    };
    expect($cell('2026-01-19'))->toBeNull()
        ->and($cell('2026-01-26')['support'])->toBeNull()
        ->and($cell('2026-01-27')['support'])->toBe('Alone')
        ->and($cell('2026-03-27')['recall'])->toBeLessThan($cell('2026-01-28')['recall']);
    $this->getJson("/api/groups/{$this->group->id}?on=soon")->assertUnprocessable()->assertJsonPath('place', 'on');
});

test('a name that is there already is asked about: it is the same person, or another', function () {
    $url = "/api/groups/{$this->group->id}/students";
    $other = $this->postJson('/api/groups', ['name' => 'Mornings', 'form' => $this->form->id, 'students' => ['Dee', 'Eve']])->assertCreated()->json('id');
    $asked = $this->postJson($url, ['students' => ['dee', 'Flo']])->assertConflict()->json();
    expect($asked['code'])->toBe('students.known')->and($asked['known'][0]['name'])->toBe('dee')
        ->and($asked['known'][0]['students'][0])->toMatchArray(['name' => 'Dee', 'groups' => ['Mornings']])
        ->and(array_column(($this->show)()['students'], 'name'))->toBe(['Ada', 'Bo', 'Cy']); // nothing was changed
    $dee = $asked['known'][0]['students'][0]['id'];
    $this->postJson($url, ['students' => ['dee', 'Flo'], 'same' => ['dee' => $dee]])->assertCreated()->assertJsonPath('group.students', 5)->assertJsonCount(2, 'added');
    expect(($this->named)(($this->show)(), 'Dee')['id'])->toBe($dee)
        ->and(collect($this->getJson("/api/groups/$other")->json('students'))->pluck('id')->all())->toContain($dee);
    $this->postJson($url, ['students' => ['Eve'], 'others' => ['Eve']])->assertCreated();
    expect($this->inside($this->user->school, fn () => Student::where('name', 'Eve')->count()))->toBe(2);
    // Already in the group: adding the same person again changes nothing.
    $this->postJson($url, ['students' => ['Dee'], 'same' => ['Dee' => $dee]])->assertCreated()->assertJsonCount(0, 'added');
});

test('two requests that add the same name at once make one student, for the second is asked', function () {
    $url = "/api/groups/{$this->group->id}/students";
    $this->postJson($url, ['students' => ['Gil']])->assertCreated();
    $this->postJson($url, ['students' => ['Gil']])->assertConflict();
    expect($this->inside($this->user->school, fn () => Student::where('name', 'Gil')->count()))->toBe(1);
});

test('what is known of a student goes along with them: renamed, moved, taken off the list', function () {
    ($this->log)(2, '2026-01-20T20:00:00+01:00');
    $ada = ($this->named)(($this->show)(), 'Ada');
    $this->patchJson("/api/students/{$ada['id']}", ['name' => 'Bo'])->assertConflict()->assertJsonPath('code', 'students.known');
    $this->patchJson("/api/students/{$ada['id']}", ['name' => 'Ada Reed'])->assertNoContent();
    $other = $this->postJson('/api/groups', ['name' => 'Mornings', 'form' => $this->form->id, 'students' => []])->json('id');
    $this->postJson("/api/groups/{$this->group->id}/move", ['student' => $ada['id'], 'to' => $this->group->id])->assertUnprocessable();
    $this->postJson("/api/groups/{$this->group->id}/move", ['student' => $ada['id'], 'to' => $other])->assertNoContent();
    expect(array_column(($this->show)()['students'], 'name'))->toBe(['Bo', 'Cy'])
        ->and($this->getJson("/api/groups/$other")->json('students.0'))->toMatchArray(['id' => $ada['id'], 'name' => 'Ada Reed', 'cells' => $ada['cells']]);
    $this->deleteJson("/api/groups/$other/students", ['students' => [$ada['id']]])->assertNoContent();
    $member = $this->inside($this->user->school, fn () => GroupMember::where('group_id', $other)->first());
    expect($member?->left_on)->toBe('2026-01-20')->and($this->inside($this->user->school, fn () => Student::whereKey($ada['id'])->exists()))->toBeTrue();
    // Whoever is put back on the same day never left.
    $this->postJson("/api/groups/$other/students", ['students' => ['Ada Reed'], 'same' => ['Ada Reed' => $ada['id']]])->assertCreated();
    expect($this->inside($this->user->school, fn () => GroupMember::where('group_id', $other)->pluck('left_on')->all()))->toBe([null]);
    // Coming back is another time in the group, with the same record.
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => ['Ada Reed'], 'same' => ['Ada Reed' => $ada['id']]])->assertCreated();
    expect(($this->named)(($this->show)(), 'Ada Reed')['cells'])->toEqual($ada['cells']);
});

test('already taught up to: what a group was taught before it was kept here, for those who are in it', function () {
    $say = fn (array $change = []) => $this->postJson("/api/groups/{$this->group->id}/before", ['id' => (string) Str::ulid(), 'to' => 5, 'at' => now()->toRfc3339String(), ...$change]);
    $say()->assertNoContent();
    $group = ($this->show)();
    expect($group['taught'])->toBe([1, 2, 3, 4, 5])->and(($this->named)($group, 'Ada')['missed'])->toBe([])
        ->and(($this->show)('?on=2025-12-29')['taught'])->toBe([]) // a week before the first meeting
        ->and(($this->show)('?on=2025-12-30')['taught'])->toBe([1, 2, 3, 4, 5])
        ->and($group['nextRecap'])->not->toBeNull();
    $next = collect($this->getJson("/api/terms/{$this->term->id}")->json('meetings'))->first(fn (array $row): bool => ! $row['isPast'] && $row['lesson'] !== null);
    expect($next['lesson']['from'])->toBe(6);
    $say(['to' => 3, 'on' => '2026-01-01'])->assertNoContent(); // the latest word stands
    expect(($this->show)()['taught'])->toBe([1, 2, 3]);
    $say(['to' => 9])->assertUnprocessable()->assertJsonPath('place', 'to');
    $say(['on' => '2026-02-01'])->assertUnprocessable()->assertJsonPath('place', 'on');
    $again = ['id' => (string) Str::ulid(), 'to' => 4];
    $say($again)->assertNoContent();
    $say($again)->assertNoContent(); // sent twice
    expect(($this->show)()['taught'])->toBe([1, 2, 3, 4]);
    // Taken back, the term begins at its first lesson again.
    $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => (string) Str::ulid(), 'of' => $again['id'], 'at' => now()->toRfc3339String()]]])->assertSuccessful();
    $next = collect($this->getJson("/api/terms/{$this->term->id}")->json('meetings'))->first(fn (array $row): bool => ! $row['isPast'] && $row['lesson'] !== null);
    expect(($this->show)()['taught'])->toBe([])->and($next['lesson']['from'])->toBe(1);
});

test('a group that cannot be is refused, and nothing is made', function (array $change, string $place) {
    $given = ['name' => 'New', 'room' => null, 'form' => $this->form->id, 'students' => ['Eve'], ...$change];
    $answer = $this->postJson('/api/groups', $given)->assertUnprocessable();
    expect($answer->json('place'))->toBe($place)
        ->and($this->inside($this->user->school, fn () => [Group::count(), Student::count()]))->toBe([1, 3]);
})->with([
    'no name' => [['name' => ''], 'name'],
    'a name of a page' => [['name' => str_repeat('x', 121)], 'name'],
    'no form' => [['form' => null], 'form'],
    'a form that is not there' => [['form' => '00000000-0000-7000-8000-000000000000'], 'form'],
    'a blank student' => [['students' => ['Eve', '']], 'students.1'],
    'a student who is no name' => [['students' => [['a']]], 'students.0'],
    'a crowd' => [['students' => array_fill(0, 121, 'Eve')], 'students'],
]);

test('a group that is full takes no more', function () {
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => array_map(fn (int $n) => "Eve $n", range(1, 117))])->assertCreated();
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => ['One more']])
        ->assertUnprocessable()
        ->tap(fn ($answer) => expect($this->said($answer))->toBe('A group has at most 120 students.'));
});

test('names are kept as they are typed, whatever they look like', function (string $name) {
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => [$name]])->assertCreated();
    expect(array_column(($this->show)()['students'], 'name'))->toContain($name);
})->with([
    '<script>alert(1)</script>',
    "Robert'); drop table students;--",
    'Zoë 太极',
    '=1+1',
]);

test('the term of a group is the one that is running, else the next to come, else the last there was', function () {
    $lay = fn (string $from, string $to) => $this->postJson('/api/terms', ['group' => $this->group->id, 'title' => $from, 'from' => $from, 'to' => $to, 'pattern' => [['weekday' => 'Tue', 'at' => '10:00', 'minutes' => 60]], 'closures' => [], 'approach' => 'piece'])->assertCreated()->json('id');
    $spring = $lay('2026-04-01', '2026-06-30');
    $summer = $lay('2026-07-01', '2026-09-30');
    $shown = function (string $on): string {
        $this->clockAt("{$on}T12:00:00Z");

        return ($this->show)()['group']['termId'];
    };
    expect([$shown('2026-02-01'), $shown('2026-03-20'), $shown('2026-05-01'), $shown('2026-08-01'), $shown('2027-08-01')])->toBe([$this->term->id, $spring, $spring, $summer, $summer]);
});
