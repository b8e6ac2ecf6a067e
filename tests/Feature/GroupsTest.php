<?php

declare(strict_types=1);

use App\Models\Group;
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
            $this->putJson("$url/attendance", ['present' => [$ids[$name] => false]])->assertNoContent();
        }
        $this->postJson("$url/log", ['id' => (string) Str::ulid(), 'at' => $at])->assertNoContent();
    };
});

test('a new group has its students by name and nothing taught', function () {
    $group = ($this->show)();
    expect(array_column($group['students'], 'name'))->toBe(['Ada', 'Bo', 'Cy'])
        ->and($group['taught'])->toBe([])
        ->and($group['nextLesson'])->toBe(1)
        ->and($group['nextRecap'])->toBeNull()
        ->and($group['students'][0])->toMatchArray(['frontier' => null, 'holding' => 0, 'holes' => [], 'behind' => [], 'missed' => [], 'notReady' => []]);
});

test('what was taught while someone was away is missed, until it is met', function () {
    ($this->log)(2, '2026-01-20T20:00:00+01:00', ['Bo']);
    $taught = ($this->show)()['taught'];
    expect(($this->named)(($this->show)(), 'Bo')['missed'])->toBe($taught)
        ->and(($this->named)(($this->show)(), 'Ada')['missed'])->toBe([]);
    ($this->log)(3, '2026-01-27T20:00:00+01:00'); // the fourth meeting consolidates: everyone goes through it
    expect(($this->named)(($this->show)(), 'Bo')['missed'])->toBe([])
        ->and(($this->show)()['taught'])->toBe($taught);
});

test('who is not ready for the next lesson is known by its lead-in', function () {
    ($this->log)(2, '2026-01-20T20:00:00+01:00', ['Bo']);
    $this->clockAt('2026-01-27T20:00:00+01:00');
    $group = ($this->show)();
    $lead = range($group['nextRecap']['from'], $group['nextRecap']['to']);
    expect(($this->named)($group, 'Bo')['notReady'])->toBe($lead)
        ->and(($this->named)($group, 'Ada')['notReady'])->toBe($lead); // taught a week ago, and never seen
    $ada = ($this->named)($group, 'Ada')['id'];
    $marks = array_map(fn (int $position) => $this->mark($ada, $group['form']['entries'][$position - 1]['id'], 'Cued'), $lead);
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => $marks])->assertOk()->assertJsonPath('0.notReady', []);
});

test('the map of an earlier day shows what was known then', function () {
    ($this->log)(2, '2026-01-20T20:00:00+01:00');
    $ada = ($this->named)(($this->show)(), 'Ada')['id'];
    $entry = ($this->show)()['form']['entries'][0]['id'];
    $this->clockAt('2026-01-27T20:00:00+01:00');
    $this->postJson("/api/meetings/{$this->meetings[3]->id}/marks", ['marks' => [$this->mark($ada, $entry)]])->assertOk();
    $cell = fn (string $day): ?array => ($this->named)(($this->show)("?on=$day"), 'Ada')['cells'][0] ?? null;
    expect($cell('2026-01-19'))->toBeNull()
        ->and($cell('2026-01-26')['support'])->toBeNull()
        ->and($cell('2026-01-27')['support'])->toBe('Alone')
        ->and($cell('2026-03-27')['recall'])->toBeLessThan($cell('2026-01-28')['recall']);
    $this->getJson("/api/groups/{$this->group->id}?on=soon")->assertUnprocessable()->assertJsonValidationErrors('on');
});

test('students are added by name, and a name may come twice', function () {
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => ['Ada', 'Dee']])->assertCreated()->assertJsonPath('group.students', 5)->assertJsonCount(2, 'added');
    expect(array_column(($this->show)()['students'], 'name'))->toBe(['Ada', 'Ada', 'Bo', 'Cy', 'Dee']);
});

test('a group that cannot be is refused, and nothing is made', function (array $change, string $place) {
    $given = ['name' => 'New', 'room' => null, 'form' => $this->form->id, 'students' => ['Eve'], ...$change];
    $answer = $this->postJson('/api/groups', $given)->assertUnprocessable();
    expect($answer->json('place') ?: array_key_first($answer->json('errors')))->toBe($place)
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
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => array_fill(0, 117, 'Eve')])->assertCreated();
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => ['One more']])
        ->assertUnprocessable()
        ->assertJsonFragment(['message' => 'A group has at most 120 students.']);
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
