<?php

declare(strict_types=1);

use App\Models\Role;
use App\Models\Student;
use Gorvan\Core\Standing\ForecastTest;
use Gorvan\Core\Standing\Reliability;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    ['user' => $this->user, 'group' => $this->group, 'form' => $this->form, 'term' => $this->term] = $this->school();
    $this->actingAs($this->user);
    $this->students = $this->inside($this->user->school, fn () => $this->group->students()->orderBy('name')->pluck('students.id')->all());
    $this->entries = $this->inside($this->user->school, fn () => $this->form->entries()->pluck('id')->all());
    $this->meetings = $this->meetings($this->term);
    /** Marks of one student on one entry, one a meeting, each taking the recall of the one before to the test. */
    $this->marked = fn (string $student, string $entry, array $levels) => array_map(fn (string $level, int $at) => $this->postJson("/api/meetings/{$this->meetings[$at]->id}/marks", ['marks' => [$this->mark($student, $entry, $level)]])->assertOk(), $levels, array_keys($levels));
});

test('every mark that had been forecast is a test; the school and each group are told in tenths and scores', function () {
    expect($this->getJson('/api/school/forecast')->assertOk()->json())->school->tests->toBe(0)->offered->toBeNull()->adopted->toBeNull();
    ($this->marked)($this->students[0], $this->entries[0], ['Alone', 'Following', 'Alone']);
    $this->inside($this->user->school, fn () => Student::query()->update(['forecasts' => null]));
    $page = $this->getJson('/api/school/forecast')->json();
    expect($page['school']['tests'])->toBe(2)->and($page['groups'][0])->name->toBe($this->group->name)->of->toBe($page['school'])
        ->and($page['school']['observed'])->toEqual(0.5)->and($page['enough'])->toBe(200)
        ->and(array_sum(array_column($page['school']['tenths'], 'tests')))->toBe(2);
    $this->getJson('/api/school/forecast/change')->assertUnprocessable();
});

test('from 200 tests on a factor is offered with what it changes; adopted it is how recall is read, and no record changes by it', function () {
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [$this->mark($this->students[0], $this->entries[0], 'Alone')]])->assertOk();
    // 240 looks, all forgotten where 0.9 was said.
    $tests = array_fill(0, 240, [0.0, [1.0]]);
    $this->inside($this->user->school, fn () => Student::whereKey($this->students[0])->update(['forecasts' => json_encode($tests), 'trust' => 0.5]));
    $offered = $this->getJson('/api/school/forecast')->json('offered');
    expect($offered)->toEqualWithDelta(Reliability::LEAST_FACTOR, 1e-9);
    $change = $this->getJson('/api/school/forecast/change')->assertOk()->json();
    expect($change['after']['logLoss'])->toBeLessThan($change['before']['logLoss'])->and($change['holdsBefore'])->toBe(1);
    $this->clockAt('2026-01-22T20:00:00+01:00');
    $read = fn () => $this->getJson("/api/students/{$this->students[0]}")->json('forms.0.standing.cells.0.recall');
    $before = $read();
    $curve = fn () => $this->getJson("/api/students/{$this->students[0]}/curve?entry={$this->entries[0]}")->json('0.points');
    $points = $curve();
    $this->putJson('/api/school/forecast/factor', ['factor' => $offered])->assertNoContent();
    expect($read())->toBeLessThan($before)
        ->and(end($points)['recall'])->toBeGreaterThan(array_slice($curve(), -1)[0]['recall'])
        ->and($this->getJson('/api/school/forecast')->json('adopted'))->toEqualWithDelta($offered, 1e-9);
    $this->putJson('/api/school/forecast/factor', ['factor' => null])->assertNoContent();
    expect($read())->toBe($before)->and($curve())->toBe($points);
    $this->putJson('/api/school/forecast/factor', ['factor' => 9])->assertUnprocessable();
    $this->putJson('/api/school/forecast/factor', ['factor' => 'a lot'])->assertUnprocessable();
});

test('only who runs the school adopts a factor', function () {
    auth()->forgetGuards();
    $this->flushSession();
    $this->actingAs($this->user->school->users()->create(['name' => 'X', 'email' => 'x@reeds.test', 'password' => 'a long password', 'role' => Role::Instructor]));
    $this->getJson('/api/school/forecast')->assertOk();
    $this->putJson('/api/school/forecast/factor', ['factor' => 1.5])->assertForbidden();
});

test('what is kept of a test is the test: read back it predicts the same', function () {
    ($this->marked)($this->students[0], $this->entries[0], ['Alone', 'Cued']);
    $this->getJson('/api/school/forecast');
    $kept = json_decode((string) $this->inside($this->user->school, fn () => Student::findOrFail($this->students[0])->forecasts), true);
    expect($kept)->toHaveCount(1)->and($kept[0][0])->toBe(0.5);
    $days = (strtotime($this->meetings[1]->on) - strtotime($this->meetings[0]->on)) / 86400;
    // Alone is S0(3) = 2.3065 days (source: the published default weights of FSRS-6).
    expect((new ForecastTest($kept[0][0], $kept[0][1]))->ages[0])->toEqualWithDelta($days / 2.3065, 1e-9);
});
