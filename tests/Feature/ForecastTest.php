<?php

declare(strict_types=1);

use App\Actions\MeasureReliability;
use App\Jobs\MeasureReliabilityJob;
use App\Models\ForecastTests;
use App\Models\Role;
use App\Models\School;
use Gorvan\Core\Standing\ForecastTest;
use Gorvan\Core\Standing\Reliability;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

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
    expect($this->getJson('/api/school/forecast')->assertOk()->json())->school->tests->toBe(0)->change->toBeNull()->adopted->toBeNull()->isBeingMeasured->toBeFalse();
    ($this->marked)($this->students[0], $this->entries[0], ['Alone', 'Following', 'Alone']);
    $page = $this->getJson('/api/school/forecast')->json();
    expect($page['school']['tests'])->toBe(2)->and($page['groups'][0])->name->toBe($this->group->name)->of->toBe($page['school'])
        ->and($page['school']['observed'])->toEqual(0.5)->and($page['enough'])->toBe(200)
        ->and(array_sum(array_column($page['school']['tenths'], 'tests')))->toBe(2);
});

test('from 200 tests on a factor is offered with what it changes; adopted it is how recall is read, and no record changes by it', function () {
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [$this->mark($this->students[0], $this->entries[0], 'Alone')]])->assertOk();
    // 240 looks, all forgotten where 0.9 was said.
    $tests = array_fill(0, 240, [0.0, [1.0]]);
    $this->inside($this->user->school, fn () => ForecastTests::updateOrCreate(['student_id' => $this->students[0]], ['tests' => json_encode($tests)]));
    $this->inside($this->user->school, fn () => School::query()->increment('forecasts_version'));
    $page = $this->getJson('/api/school/forecast')->assertOk()->json();
    $offered = $page['change']['factor'];
    expect($offered)->toEqualWithDelta(Reliability::LEAST_FACTOR, 1e-9);
    expect($page['change']['after']['logLoss'])->toBeLessThan($page['school']['logLoss'])->and($page['change']['holdsBefore'])->toBe(1);
    $this->clockAt('2026-01-22T20:00:00+01:00');
    $read = fn () => $this->getJson("/api/students/{$this->students[0]}")->json('forms.0.standing.cells.0.2');
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
    $this->actingAs($this->colleague($this->user->school, ['name' => 'X', 'email' => 'x@reeds.test', 'password' => 'a long password', 'role' => Role::Instructor]));
    $this->getJson('/api/school/forecast')->assertOk();
    $this->putJson('/api/school/forecast/factor', ['factor' => 1.5])->assertForbidden();
});

test('what is kept of a test is the test: read back it predicts the same', function () {
    ($this->marked)($this->students[0], $this->entries[0], ['Alone', 'Cued']);
    $this->getJson('/api/school/forecast');
    $kept = json_decode((string) $this->inside($this->user->school, fn () => ForecastTests::where('student_id', $this->students[0])->firstOrFail()->tests), true);
    expect($kept)->toHaveCount(1)->and($kept[0][0])->toBe(0.5);
    $days = (strtotime($this->meetings[1]->on) - strtotime($this->meetings[0]->on)) / 86400;
    // Alone is S0(3) = 2.3065 days (source: the published default weights of FSRS-6).
    expect((new ForecastTest($kept[0][0], $kept[0][1]))->ages[0])->toEqualWithDelta($days / 2.3065, 1e-9);
});

test('what was worked out is kept until something it rests on changes', function () {
    ($this->marked)($this->students[0], $this->entries[0], ['Alone', 'Cued']);
    $this->getJson('/api/school/forecast')->assertOk();
    $of = fn () => $this->inside($this->user->school, fn () => School::firstOrFail()->reliability_of);
    $is = $of();
    $this->getJson('/api/school/forecast')->assertOk();
    expect($of())->toBe($is);
    // A mark, who is in a group, how recall is read, and another day: each is something it rests on.
    ($this->marked)($this->students[1], $this->entries[0], ['Alone', 'Alone']);
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/log", $this->asPlanned($this->meetings[2]))->assertNoContent();
    expect($this->getJson('/api/school/forecast')->json('school.tests'))->toBe(2)->and($of())->not->toBe($is);
    foreach ([fn () => $this->putJson('/api/school/forecast/factor', ['factor' => 2])->assertNoContent(), fn () => $this->putJson("/api/students/{$this->students[1]}/pause", ['isPaused' => true])->assertNoContent(), fn () => $this->clockAt('2026-01-21T08:00:00+01:00')] as $change) {
        $is = $of();
        $change();
        $this->getJson('/api/school/forecast')->assertOk();
        expect($of())->not->toBe($is);
    }
});

test('with many marks it is worked out beside the page, once, and the page says so', function () {
    $this->inside($this->user->school, function () {
        DB::statement("insert into marks (id, school_id, student_id, entry_id, support, at, made_by) select lpad(k::text, 26, '0'), ?, ?, ?, 3, now(), ? from generate_series(1, 10001) k", [$this->user->school_id, $this->students[0], $this->entries[0], $this->user->id]);
    });
    Queue::fake();
    expect($this->getJson('/api/school/forecast')->assertOk()->json())->school->toBeNull()->isBeingMeasured->toBeTrue();
    $this->getJson('/api/school/forecast')->assertOk(); // a page that waits asks again
    Queue::assertPushed(MeasureReliabilityJob::class, 1);
    app(MeasureReliabilityJob::class, ['school' => $this->user->school_id])->handle(app(App\Models\CurrentSchool::class), app(MeasureReliability::class));
    expect($this->getJson('/api/school/forecast')->json())->isBeingMeasured->toBeFalse()->school->not->toBeNull();
});
