<?php

declare(strict_types=1);

use App\Actions\LayTerm;
use App\Actions\NewCourse;
use App\Jobs\PlanTermJob;
use App\Jobs\WaitingJobs;
use App\Models\Form;
use App\Models\Group;
use App\Models\Term;
use Gorvan\Core\Term\Approach;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->clockAt('2026-01-13T20:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->meetings = $this->meetings($this->term);
    $this->actingAs($this->user);
    $this->plans = fn (): array => $this->inside($this->user->school, fn () => DB::table('meetings')->where('term_id', $this->term->id)->orderBy('starts_at')->pluck('plan')->all());
    $this->shown = fn (): array => $this->getJson("/api/terms/{$this->term->id}")->assertOk()->json();
    $this->worker = fn (): int => Artisan::call('queue:work', ['--stop-when-empty' => true, '--quiet' => true, '--memory' => 2048]);
    config(['queue.default' => 'database']);
});

test('a logged class has its term planned again in the background, and the old plan is shown as such until then', function () {
    $before = ($this->plans)();
    $this->postJson("/api/meetings/{$this->meetings[1]->id}/log", $this->asPlanned($this->meetings[1], ['did' => []]))->assertNoContent();
    expect(DB::table('jobs')->count())->toBe(1)
        ->and(($this->shown)()['term']['isBeingPlanned'])->toBeTrue()
        ->and(($this->plans)())->toBe($before);
    ($this->worker)();
    expect(DB::table('jobs')->count())->toBe(0)->and(DB::table('failed_jobs')->count())->toBe(0)
        ->and(($this->shown)()['term']['isBeingPlanned'])->toBeFalse()
        ->and(($this->plans)())->not->toBe($before);
});

test('asked for twice a term is planned once, and a job left over changes nothing', function () {
    $first = $this->asPlanned($this->meetings[0]);
    $this->postJson("/api/meetings/{$this->meetings[0]->id}/log", $first)->assertNoContent();
    $this->postJson("/api/meetings/{$this->meetings[1]->id}/log", $this->asPlanned($this->meetings[1]))->assertNoContent();
    expect(DB::table('jobs')->count())->toBe(2);
    ($this->worker)();
    $planned = ($this->plans)();
    expect(array_filter($planned))->toHaveCount(10);
    $when = fn (): string => $this->inside($this->user->school, fn () => DB::table('terms')->value('planned_at'));
    $at = $when();
    $this->clockAt('2026-01-13T20:05:00+01:00');
    PlanTermJob::dispatch($this->user->school_id, $this->term->id);
    ($this->worker)();
    expect(($this->plans)())->toBe($planned)->and($when())->toBe($at);
});

test('a term that is to be planned when the clock is set back is planned within a minute, and what waits its moment goes on waiting', function () {
    $this->postJson("/api/meetings/{$this->meetings[1]->id}/log", $this->asPlanned($this->meetings[1]))->assertNoContent();
    $this->clockAt('2026-01-13T19:00:00+01:00'); // an hour earlier: an error of the clock was put right
    ($this->worker)();
    expect(DB::table('jobs')->count())->toBe(1);
    $this->artisan('schedule:run');
    ($this->worker)();
    expect(DB::table('jobs')->count())->toBe(0)->and(($this->shown)()['term']['isBeingPlanned'])->toBeFalse();
    PlanTermJob::dispatch($this->user->school_id, $this->term->id)->delay(60);
    expect(WaitingJobs::release())->toBe(0);
});

test('a term taken back while it waits to be planned is no fault', function () {
    $id = $this->asPlanned($this->meetings[1]);
    $this->postJson("/api/meetings/{$this->meetings[1]->id}/log", $id)->assertNoContent();
    $other = $this->inside($this->user->school, function (): string {
        $group = Group::create(['name' => 'Other', 'form_id' => $this->form->id]);
        $term = app(LayTerm::class)($group, 'T', ['from' => '2026-01-20', 'to' => '2026-03-10', 'pattern' => [['weekday' => 'Tue', 'at' => '10:00', 'minutes' => 60]], 'closures' => []], [new NewCourse(Form::firstOrFail(), Approach::OutlineFirst)]);

        return $term->id;
    });
    PlanTermJob::dispatch($this->user->school_id, $other);
    $this->deleteJson("/api/terms/$other")->assertNoContent();
    $heard = [];
    DB::listen(function ($query) use (&$heard) {
        $heard[] = $query->sql;
    });
    ($this->worker)();
    // Nor is one that goes while its plan is read: it is held from its row to its courses.
    expect(array_values(preg_grep('/from "terms" where "terms"."id" = \? and "terms"."school_id" = \?.*/', $heard) ?: [])[0])->toContain('for key share');
    expect(DB::table('jobs')->count())->toBe(0)->and(DB::table('failed_jobs')->count())->toBe(0);
});

test('a term begun in the past has plans for the meetings that went by, and they are logged as they were', function () {
    config(['queue.default' => 'sync']);
    $term = $this->inside($this->user->school, fn (): Term => app(LayTerm::class)(Group::findOrFail($this->group->id), 'Begun', [
        'from' => '2025-12-01', 'to' => '2026-02-20', 'pattern' => [['weekday' => 'Mon', 'at' => '18:00', 'minutes' => 60]], 'closures' => [],
    ], [new NewCourse(Form::findOrFail($this->form->id), Approach::PieceByPiece, lessonLoad: 4.0, spread: false)]));
    $meetings = $this->meetings($term);
    expect($meetings[0]->on)->toBe('2025-12-01');
    foreach ([0, 1] as $at) {
        $log = $this->asPlanned($meetings[$at]);
        expect(array_column($log['did'], 'what'))->toContain('taught');
        $this->postJson("/api/meetings/{$meetings[$at]->id}/log", $log)->assertNoContent();
        $meetings = $this->meetings($term);
    }
    $rows = $this->getJson("/api/terms/$term->id")->assertOk()->json('meetings');
    expect([$rows[0]['isHeld'], $rows[1]['isHeld'], $rows[2]['isHeld']])->toBe([true, true, false])
        ->and($rows[1]['lesson']['from'])->toBe($rows[0]['lesson']['to'] + 1)
        ->and(self::cell($this->getJson("/api/groups/{$this->group->id}")->json('students.0.cells.0'))['isMet'])->toBeTrue();
});

test('a plan that is written while a page is read is shown, or asked for again: no old plan is shown as the new one', function (string $page, string $path) {
    $old = ($this->plans)();
    $this->postJson("/api/meetings/{$this->meetings[1]->id}/log", $this->asPlanned($this->meetings[1], ['did' => []]))->assertNoContent();
    ($this->worker)();
    $new = ($this->plans)();
    expect($new)->not->toBe($old);
    $this->clockAt('2026-01-20T18:00:00+01:00'); // a day with a class
    $url = strtr($page, ['TERM' => $this->term->id, 'MEETING' => $this->meetings[2]->id]);
    $ids = array_map(fn ($meeting) => $meeting->id, $this->meetings);
    // As the worker writes it, in one go; the old one waits for it.
    $write = fn (array $plans, bool $isPlanned) => DB::transaction(function () use ($ids, $plans, $isPlanned): void {
        foreach ($ids as $at => $id) {
            DB::table('meetings')->where('id', $id)->update(['plan' => $plans[$at]]);
        }
        DB::table('terms')->where('id', $this->term->id)->update(['plan_answered' => DB::raw($isPlanned ? 'plan_asked' : 'plan_asked - 1')]);
    });
    $state = (object) ['at' => PHP_INT_MAX, 'seen' => 0, 'isWriting' => false];
    DB::listen(function () use ($state, $write, $new): void {
        if (! $state->isWriting && ++$state->seen === $state->at) {
            $state->isWriting = true;
            $this->inside($this->user->school, fn () => $write($new, true));
        }
    });
    $show = function (int $at) use ($state, $write, $old, $url): array {
        $state->isWriting = true;
        $this->inside($this->user->school, fn () => $write($old, false));
        [$state->at, $state->seen, $state->isWriting] = [$at, 0, false];

        return $this->getJson($url)->assertOk()->json();
    };
    $state->isWriting = true;
    $this->inside($this->user->school, fn () => $write($new, true));
    $fresh = data_get($this->getJson($url)->assertOk()->json(), $path);
    expect($fresh)->not->toBeNull();
    $waits = $shown = 0;
    for ($at = 1; $at === 1 || $state->seen >= $at - 1; $at++) {
        $answer = $show($at);
        $isWaiting = data_get($answer, str_starts_with($path, 'meetings.0') ? 'meetings.0.term.isBeingPlanned' : 'term.isBeingPlanned');
        $isNew = data_get($answer, $path) === $fresh;
        expect($isWaiting || $isNew)->toBeTrue("$page, written after query $at: an old plan that nothing waits for");
        $waits += (int) $isWaiting;
        $shown += (int) (! $isWaiting);
        if ($at > 400) {
            break;
        }
    }
    expect($waits)->toBeGreaterThan(0)->and($shown)->toBeGreaterThan(0);
})->with([
    'a term' => ['/api/terms/TERM', 'meetings.2.courses'],
    'a meeting' => ['/api/meetings/MEETING', 'meeting.courses'],
    'today' => ['/api/today', 'meetings.0.meeting.courses'],
]);
