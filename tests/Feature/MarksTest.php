<?php

declare(strict_types=1);

use App\Models\Mark;
use App\Models\Student;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->meeting = $this->meetings($this->term)[2];
    [$this->students, $this->entries] = $this->inside($this->user->school, fn () => [
        $this->group->students()->orderBy('name')->pluck('students.id')->all(),
        $this->form->entries()->pluck('id')->all(),
    ]);
    $this->actingAs($this->user);
    $this->url = "/api/meetings/{$this->meeting->id}/marks";
    $this->count = fn (): int => $this->inside($this->user->school, fn () => Mark::count());
});

test('marks change where a student stands, at once and in the group’s map', function () {
    $marks = array_map(fn (string $entry) => $this->mark($this->students[0], $entry), array_slice($this->entries, 0, 3));
    $this->postJson($this->url, ['marks' => $marks])->assertOk()
        ->assertJsonPath('0.name', 'Ada')
        ->assertJsonPath('0.frontier', 3)
        ->assertJsonPath('0.holding', 3)
        ->assertJsonPath('0.cells.0.1', 3);
    $ada = collect($this->getJson("/api/groups/{$this->group->id}")->assertOk()->json('students'))->firstWhere('name', 'Ada');
    expect($ada['frontier'])->toBe(3);
});

test('sending the same marks twice changes nothing', function () {
    $body = ['marks' => [$this->mark($this->students[0], $this->entries[0]), $this->mark($this->students[1], $this->entries[0], 'Cued')]];
    $first = $this->postJson($this->url, $body)->assertOk()->json();
    expect($this->postJson($this->url, $body)->assertOk()->json())->toEqual($first)->and(($this->count)())->toBe(2);
});

test('an id used with other content is refused, and nothing of the request is kept', function () {
    $mark = $this->mark($this->students[0], $this->entries[0]);
    $this->postJson($this->url, ['marks' => [$mark]])->assertOk();
    $this->postJson($this->url, ['marks' => [$this->mark($this->students[1], $this->entries[1]), [...$mark, 'support' => 'Cued']]])
        ->assertConflict()->assertJsonPath('place', 'marks.1.id')->tap(fn ($answer) => expect($this->said($answer))->toBe('Mark 2 has an id that was used for another mark. Nothing was saved; mark again to make a new one.'));
    expect(($this->count)())->toBe(1);
});

test('one wrong mark among many keeps none', function (callable $wrong, string $place) {
    $marks = [$this->mark($this->students[0], $this->entries[0]), [...$this->mark($this->students[1], $this->entries[1]), ...$wrong($this)]];
    $answer = $this->postJson($this->url, ['marks' => $marks])->assertUnprocessable();
    expect($answer->json('place'))->toBe($place)->and(($this->count)())->toBe(0);
})->with([
    'not a ULID' => [fn () => ['id' => '17'], 'marks.1.id'],
    'no such student' => [fn () => ['student' => (string) Str::uuid()], 'marks.1.student'],
    'no such entry' => [fn () => ['entry' => (string) Str::uuid()], 'marks.1.entry'],
    'no such level' => [fn () => ['support' => 'Great'], 'marks.1.support'],
    'no such side' => [fn () => ['side' => 'both'], 'marks.1.side'],
    'no offset' => [fn () => ['at' => '2026-01-20T19:00:00'], 'marks.1.at'],
    'a side of an entry that has none' => [fn () => ['side' => 'left'], 'marks.1.side'],
]);

test('a student of another school cannot be marked', function () {
    $other = $this->school('Other School');
    $theirs = $this->inside($other['user']->school, fn () => Student::first()->id);
    $this->postJson($this->url, ['marks' => [$this->mark($theirs, $this->entries[0])]])
        ->assertUnprocessable()->assertJsonPath('place', 'marks.0.student');
});

test('marks that arrive out of order give the same standing', function () {
    $early = $this->mark($this->students[0], $this->entries[0], 'Cued', at: '2026-01-06T19:30:00+01:00');
    $late = $this->mark($this->students[0], $this->entries[0], 'Alone', at: '2026-01-13T19:30:00+01:00');
    $this->postJson($this->url, ['marks' => [$late]]);
    $one = $this->postJson($this->url, ['marks' => [$early]])->json('0.cells.0');
    [$early['student'], $late['student']] = [$this->students[1], $this->students[1]];
    [$early['id'], $late['id']] = [(string) Str::ulid(), (string) Str::ulid()];
    $two = $this->postJson($this->url, ['marks' => [$early, $late]])->json('0.cells.0');
    expect($one)->toEqual($two)->and(self::cell($one)['support'])->toBe('Alone');
});

test('a mark can name a side, and the weaker side counts', function () {
    $this->postJson($this->url, ['marks' => [
        [...$this->mark($this->students[0], $this->entries[3], 'Flowing'), 'side' => 'left'],
        [...$this->mark($this->students[0], $this->entries[3], 'Cued'), 'side' => 'right'],
    ]])->assertOk()->assertJsonPath('0.cells.0.4', 4)->assertJsonPath('0.cells.0.5', 2)->assertJsonPath('0.cells.0.1', 2);
});

test('a mark is taken back by a withdrawal, which can be taken back itself', function () {
    $mark = $this->mark($this->students[0], $this->entries[0]);
    $this->postJson($this->url, ['marks' => [$mark]]);
    $support = fn () => self::cell($this->getJson("/api/groups/{$this->group->id}")->json('students.0.cells.0'))['support'];
    $back = fn (string $of) => ['id' => (string) Str::ulid(), 'of' => $of, 'at' => now()->toRfc3339String()];
    $first = $back($mark['id']);
    expect($support())->toBe('Alone');
    $this->postJson('/api/withdrawals', ['withdrawals' => [$first]])->assertNoContent();
    $this->postJson('/api/withdrawals', ['withdrawals' => [$first]])->assertNoContent(); // sent twice
    expect($support())->toBeNull();
    $this->postJson('/api/withdrawals', ['withdrawals' => [$back($first['id'])]])->assertNoContent();
    expect($support())->toBe('Alone');
    $this->postJson('/api/withdrawals', ['withdrawals' => [$back((string) Str::ulid())]])->assertUnprocessable();
    $this->postJson('/api/withdrawals', ['withdrawals' => [[...$first, 'of' => $first['id']]]])->assertConflict();
});

test('the record is append-only in the database itself', function () {
    $this->postJson($this->url, ['marks' => [$this->mark($this->students[0], $this->entries[0])]]);
    $this->inside($this->user->school, fn () => DB::table('marks')->update(['support' => 5]));
})->throws(QueryException::class, 'facts are never edited');

test('marks say who made them and when they arrived', function () {
    $this->postJson($this->url, ['marks' => [$this->mark($this->students[0], $this->entries[0], at: '2026-01-20T19:15:00+01:00')]]);
    $row = $this->inside($this->user->school, fn () => DB::table('marks')->first());
    expect($row->made_by)->toBe($this->user->id)->and(new DateTimeImmutable($row->at))->toEqual(new DateTimeImmutable('2026-01-20T18:15:00Z'))
        ->and(abs(strtotime($row->received_at) - time()))->toBeLessThan(60);
});

test('a mark of a clock that runs fast is taken, counts for the class it was made in, and the clock is noted', function () {
    $this->postJson($this->url, ['marks' => [$this->mark($this->students[0], $this->entries[0], at: '2026-02-20T19:00:00+01:00')]])->assertOk()->assertJsonPath('0.cells.0.1', 3);
    $row = $this->inside($this->user->school, fn () => DB::table('marks')->first());
    expect($row->on)->toBe('2026-01-20')->and($row->clock_ahead)->toBe(31 * 86400 - 3600);
});

test('a mark made days after the class counts for the day of the class', function () {
    $this->clockAt('2026-01-25T12:00:00+01:00');
    $this->postJson($this->url, ['marks' => [$this->mark($this->students[0], $this->entries[0])]])->assertOk();
    $cells = fn (string $day) => $this->getJson("/api/groups/{$this->group->id}?on=$day")->json('students.0.cells');
    expect($cells('2026-01-19'))->toBe([])->and(self::cell($cells('2026-01-20')[0])['support'])->toBe('Alone');
});

test('a class is logged once, and the term goes on from there', function () {
    $lesson = $this->inside($this->user->school, fn () => $this->meeting->planned()?->courses[0]->lesson?->number);
    $this->putJson("/api/meetings/{$this->meeting->id}/attendance", ['attendance' => [$this->students[1] => ['isHere' => false]]])->assertNoContent();
    $log = $this->asPlanned($this->meeting);
    $this->postJson("/api/meetings/{$this->meeting->id}/log", $log)->assertNoContent();
    $this->postJson("/api/meetings/{$this->meeting->id}/log", $log)->assertNoContent(); // sent twice
    $this->postJson("/api/meetings/{$this->meeting->id}/log", [...$log, 'id' => (string) Str::ulid()])->assertConflict();
    $this->postJson("/api/meetings/{$this->meeting->id}/log", [...$log, 'note' => 'other'])->assertConflict();
    expect($this->inside($this->user->school, fn () => DB::table('class_logs')->count()))->toBe(1);
    $students = collect($this->getJson("/api/groups/{$this->group->id}")->json('students'))->keyBy('name');
    expect($students['Ada']['missed'])->toBe([])->and($students['Ada']['cells'])->not->toBe([])
        ->and($students['Bo']['missed'])->not->toBe([])->and($students['Bo']['cells'])->toBe([]);
    $next = collect($this->getJson("/api/terms/{$this->term->id}")->json('meetings'))->first(fn ($row) => ! $row['isHeld'] && ! $row['isPast'] && $row['kind'] === 'lesson');
    expect($next['lessonNumbers'])->toBe([$lesson + 1]);
    $this->putJson("/api/meetings/{$this->meeting->id}/attendance", ['attendance' => [$this->students[1] => ['isHere' => true]]])->assertConflict();
});

test('a log is taken back, and the lesson comes again', function () {
    $log = $this->asPlanned($this->meeting);
    $back = fn () => $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => (string) Str::ulid(), 'of' => $log['id'], 'at' => now()->toRfc3339String()]]]);
    $before = $this->getJson("/api/terms/{$this->term->id}")->json('meetings');
    $this->postJson("/api/meetings/{$this->meeting->id}/log", $log)->assertNoContent();
    $back()->assertNoContent();
    $row = fn (array $meetings) => array_map(fn (array $one) => [$one['on'], $one['isHeld'], $one['lesson']], $meetings);
    expect($row(array_slice($this->getJson("/api/terms/{$this->term->id}")->json('meetings'), 0, 3)))->toEqual($row(array_slice($before, 0, 3)))
        ->and($this->getJson("/api/groups/{$this->group->id}")->json('students.0.cells'))->toBe([]);
    $this->postJson("/api/meetings/{$this->meeting->id}/log", [...$log, 'note' => 'again'])->assertConflict();
});

test('a log that replaces one is one act: the old one is withdrawn and the new one stands', function () {
    $first = $this->asPlanned($this->meeting);
    $this->postJson("/api/meetings/{$this->meeting->id}/log", $first)->assertNoContent();
    $second = $this->asPlanned($this->meeting, ['replaces' => $first['id'], 'present' => [$this->students[0]], 'note' => 'only one came']);
    $this->postJson("/api/meetings/{$this->meeting->id}/log", [...$second, 'replaces' => (string) Str::ulid()])->assertConflict();
    $this->postJson("/api/meetings/{$this->meeting->id}/log", $second)->assertNoContent();
    expect($this->getJson("/api/meetings/{$this->meeting->id}")->json('logId'))->toBe($second['id'])
        ->and(array_map(fn (array $one) => $one['cells'] !== [], $this->getJson("/api/groups/{$this->group->id}")->json('students')))->toBe([true, false, false])
        ->and($this->inside($this->user->school, fn () => DB::table('class_logs')->count()))->toBe(2);
});

test('a guest of a class becomes a student of no group, with a record of their own', function () {
    $guest = (string) Str::uuid7();
    $log = $this->asPlanned($this->meeting, ['guests' => [['id' => $guest, 'name' => 'Una', 'first_time' => true]]]);
    $this->postJson("/api/meetings/{$this->meeting->id}/log", $log)->assertNoContent();
    $una = $this->inside($this->user->school, fn () => Student::with('groups')->find($guest));
    expect($una?->name)->toBe('Una')->and($una->groups)->toHaveCount(0)
        ->and($this->getJson("/api/groups/{$this->group->id}")->json('students'))->toHaveCount(3);
    $this->postJson("/api/groups/{$this->group->id}/students", ['students' => ['Una'], 'same' => ['Una' => $guest]])->assertCreated();
    expect(collect($this->getJson("/api/groups/{$this->group->id}")->json('students'))->firstWhere('id', $guest)['cells'])->not->toBe([]);
    $this->postJson("/api/meetings/{$this->meeting->id}/marks", ['marks' => [$this->mark($guest, $this->entries[0])]])->assertOk();
});

test('attendance names only students of the group', function () {
    $this->putJson("/api/meetings/{$this->meeting->id}/attendance", ['attendance' => [(string) Str::uuid() => ['isHere' => true]]])->assertUnprocessable();
});

test('a mark whose taking back is taken back shows in its class again', function () {
    $shown = fn (): array => array_column($this->getJson("/api/meetings/{$this->meeting->id}")->assertOk()->json('marks'), 'id');
    $mark = $this->mark($this->students[0], $this->entries[0]);
    $this->postJson("/api/meetings/{$this->meeting->id}/marks", ['marks' => [$mark]])->assertOk();
    $back = fn (string $of): string => tap((string) Illuminate\Support\Str::ulid(), fn (string $id) => $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => $id, 'of' => $of, 'at' => now()->toRfc3339String()]]])->assertNoContent());
    expect($shown())->toContain($mark['id']);
    $first = $back($mark['id']);
    expect($shown())->not->toContain($mark['id']);
    $second = $back($first);
    expect($shown())->toContain($mark['id']);
    $back($second);
    expect($shown())->not->toContain($mark['id']);
});
