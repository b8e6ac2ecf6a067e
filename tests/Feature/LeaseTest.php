<?php

declare(strict_types=1);

use App\Actions\PlanTerm;
use App\Jobs\Lease;
use App\Jobs\LeaseLost;
use App\Jobs\PlanTermJob;
use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Models\Term;
use Illuminate\Contracts\Queue\Job;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

beforeEach(function () {
    $this->clockAt('2026-01-06T12:00:00+01:00');
    ['user' => $this->user, 'term' => $this->term] = $this->school();
    $this->school = $this->user->school;
    $this->current = app(CurrentSchool::class);
    $this->take = fn (string $of = 'term/x'): ?Lease => $this->inside($this->school, fn () => Lease::take($this->current, $of));
    // As if so many seconds had gone by without a word of whoever holds it.
    $this->silent = fn (int $seconds) => $this->inside($this->school, fn () => DB::update('update leases set until = until - make_interval(secs => ?) where school_id = ?', [$seconds, $this->school->id]));
    $this->asked = fn () => $this->inside($this->school, fn () => Term::whereKey($this->term->id)->increment('plan_asked'));
    $this->waits = fn (): bool => $this->inside($this->school, fn () => Term::findOrFail($this->term->id)->isBeingPlanned());
    $this->released = null;
    $this->run = function (): void {
        $job = new PlanTermJob($this->school->id, $this->term->id);
        $queued = Mockery::mock(Job::class);
        $queued->shouldReceive('release')->andReturnUsing(fn (int $after) => $this->released = $after);
        $queued->shouldReceive('fail')->andReturnUsing(fn (Throwable $why) => $job->failed($why));
        $job->setJob($queued);
        app()->call([$job, 'handle']);
    };
});

test('one at a time holds a lease; it ends within half a minute after its holder fell silent, and the number grows', function () {
    $first = ($this->take)();
    expect($first)->not->toBeNull()->and(($this->take)())->toBeNull()->and(($this->take)('term/y'))->not->toBeNull()->and(Lease::SECONDS)->toBeLessThan(30);
    ($this->silent)(Lease::SECONDS + 1);
    $second = ($this->take)();
    expect($second->number)->toBeGreaterThan($first->number)->and($second->begun)->toBe(2);
    // Whoever held it before writes nothing any more.
    expect(fn () => $this->inside($this->school, $first->end(...)))->toThrow(LeaseLost::class);
    $this->inside($this->school, $second->end(...));
    expect(($this->take)()->begun)->toBe(1);
});

test('an end further ahead than one can be is none: the clock of the server was set back', function () {
    ($this->take)();
    ($this->silent)(-3600);
    expect(($this->take)())->not->toBeNull();
});

test('an interrupted plan is begun again, and one that is being worked on is not begun twice', function () {
    Queue::fake();
    ($this->asked)();
    ($this->take)("term/{$this->term->id}"); // a worker began it and was killed
    ($this->run)();
    expect($this->released)->toBeLessThanOrEqual(5)->and(($this->waits)())->toBeTrue();
    ($this->silent)(Lease::SECONDS + 1);
    ($this->run)();
    expect(($this->waits)())->toBeFalse();
});

test('what ends every worker that begins it is given up, and the term is not waited for', function () {
    Queue::fake();
    ($this->asked)();
    for ($n = 0; $n < Lease::MOST_BEGUN; $n++) {
        ($this->take)("term/{$this->term->id}");
        ($this->silent)(Lease::SECONDS + 1);
    }
    $plans = $this->inside($this->school, fn () => Meeting::orderBy('id')->pluck('plan', 'id')->all());
    ($this->run)();
    expect(($this->waits)())->toBeFalse()->and($this->inside($this->school, fn () => Meeting::orderBy('id')->pluck('plan', 'id')->all()))->toBe($plans);
});

test('a plan is worked out without asking the database, in no transaction, and renews its lease', function () {
    $plan = app(PlanTerm::class);
    $work = $this->inside($this->school, fn () => $plan->read(Term::findOrFail($this->term->id)));
    $asked = $renewed = 0;
    DB::listen(function () use (&$asked): void {
        $asked++;
    });
    $planned = $plan->compute($work, function () use (&$renewed): void {
        $renewed++;
    });
    expect($asked)->toBe(0)->and($renewed)->toBeGreaterThanOrEqual(count($planned->plans));
});

test('work whose school has gone is nobody’s any more', function () {
    app()->call([new PlanTermJob('01900000-0000-7000-8000-000000000001', $this->term->id), 'handle']);
    (new PlanTermJob('01900000-0000-7000-8000-000000000001', $this->term->id))->failed(null);
    expect(($this->waits)())->toBeFalse();
});
