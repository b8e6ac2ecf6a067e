<?php

declare(strict_types=1);

use App\Actions\PlanTerm;
use App\Http\Season;
use App\Models\Course;
use App\Models\LoggedClass;
use App\Models\Meeting;
use App\Models\PlanChange;
use App\Models\Term;
use Gorvan\Core\Record\Doing;
use Gorvan\Core\Record\DoingKind;
use Illuminate\Support\Str;

/*
 * How a course is taught, as its page says it: pace, an even spread, what is kept alive, whose evening it is; and what that gives.
 */

beforeEach(function () {
    $this->clockAt('2026-01-06T12:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->actingAs($this->user);
    $this->show = fn (): array => $this->getJson("/api/terms/{$this->term->id}")->assertOk()->json();
    $this->course = ($this->show)()['courses'][0]['id'];
    $this->say = fn (array $what) => $this->patchJson("/api/courses/$this->course", $what);
    $this->settled = fn (): ?string => $this->inside($this->user->school, fn () => Course::findOrFail($this->course)->settled_for);
    $this->long = function (int $movements): Term {
        ['user' => $user, 'term' => $term] = $this->school('Long', "# Long\n".implode("\n", array_map(fn (int $at) => "$at. Reed $at", range(1, $movements))));
        auth()->forgetGuards();
        $this->flushSession();
        $this->actingAs($user);

        return $term;
    };
    $this->given = fn (): array => array_map(fn (array $one) => array_sum(array_map(fn (array $lesson) => $lesson['to'] - $lesson['from'] + 1, $one['courses'][0]['lessons'] ?? [])), ($this->show)()['meetings']);
});

test('a pace that is said is kept, shown as both, comes to more or fewer evenings, and is taken back with its change', function () {
    ($this->say)(['size' => [], 'pace' => ['movements' => 4]])->assertOk();
    $fast = ($this->show)()['courses'][0];
    expect($fast)->toMatchArray(['saidMovements' => 4, 'saidMinutes' => null])->and($fast['movements'])->toEqualWithDelta(4, 0.01)
        ->and($fast['minutesPerLoad'])->toBeLessThan(6)->and($fast['forecast']['says']['code'])->toStartWith('pace.');
    $evenings = count(array_filter(($this->given)()));
    $change = ($this->say)(['pace' => ['movements' => 1]])->assertOk()->json('id');
    expect(count(array_filter(($this->given)())))->toBeGreaterThan($evenings)->and(max(($this->given)()))->toBeLessThanOrEqual(3);
    $this->postJson("/api/plan-changes/$change/take-back")->assertNoContent();
    expect(($this->show)()['courses'][0]['saidMovements'])->toEqual(4)->and(count(array_filter(($this->given)())))->toBe($evenings);
    ($this->say)(['pace' => []])->assertOk();
    expect(($this->show)()['courses'][0])->toMatchArray(['saidMovements' => null, 'saidMinutes' => null]);
    ($this->say)(['pace' => ['movements' => 2, 'minutes' => 6]])->assertStatus(422);
    ($this->say)(['pace' => ['movements' => 99]])->assertStatus(422);
});

test('what a group knew before makes what returns lighter, in the pace the page shows as in the plan', function () {
    $returns = array_map(fn (int $at) => ['op' => 'set', 'id' => sprintf('e%02d', $at), 'fields' => ['returns' => sprintf('e%02d', $at - 4)]], [5, 6, 7]);
    $this->postJson("/api/forms/{$this->form->id}/edits", ['base' => 1, 'edits' => $returns])->assertOk();
    $this->postJson("/api/groups/{$this->group->id}/before", ['id' => (string) Str::ulid(), 'to' => 4, 'on' => '2026-01-01', 'at' => '2026-01-06T12:00:00+01:00'])->assertNoContent();
    ($this->say)(['from' => 5, 'size' => []])->assertOk();
    $course = ($this->show)()['courses'][0];
    expect($course['forecast']['paceMovements'])->toBeGreaterThan(1.0)->and($course['movements'])->toEqualWithDelta($course['forecast']['paceMovements'], 1e-6);
});

test('lessons lie evenly where one asks for it, and how they lie is settled until dates, target or pace change', function () {
    $last = fn (): int => max(array_keys(array_filter(($this->given)())));
    $early = $last();
    ($this->say)(['spread' => true])->assertOk();
    expect($last())->toBeGreaterThan($early)->and(($this->show)()['courses'][0])->toMatchArray(['spread' => true, 'isSpread' => true]);
    ($this->say)(['spread' => null])->assertOk();
    $settled = ($this->settled)();
    expect($settled)->not->toBeNull();
    ($this->say)(['rhythm' => 2])->assertOk();
    expect(($this->settled)())->toBe($settled);
    ($this->say)(['pace' => ['movements' => 1.5]])->assertOk();
    expect(($this->settled)())->not->toBe($settled);
});

test('a course that is only kept alive has no lessons, and is not told that lessons are left', function () {
    $this->postJson("/api/groups/{$this->group->id}/before", ['id' => (string) Str::ulid(), 'passages' => [['from' => 1, 'to' => 4], ['from' => 7, 'to' => 8]], 'at' => '2026-01-06T12:00:00+01:00'])->assertNoContent();
    ($this->say)(['keeps' => [['from' => 1, 'to' => 4], ['from' => 7, 'to' => 7]]])->assertOk();
    $course = ($this->show)()['courses'][0];
    expect($course['keeps'])->toBe([['from' => 1, 'to' => 4], ['from' => 7, 'to' => 7]])->and(array_sum(($this->given)()))->toBe(0)
        ->and($course['forecast']['left'])->toBe([])->and($course['forecast']['says']['code'])->toBe('pace.keeps')->and(($this->show)()['warnings'])->toBe([]);
    $reviewed = array_merge([], ...array_map(fn (array $one) => $one['courses'][0]['review'] ?? [], ($this->show)()['meetings']));
    expect(array_filter($reviewed, fn (array $one) => $one['from'] <= 6 && $one['to'] >= 5))->toBe([]);
    ($this->say)(['keeps' => [['from' => 5, 'to' => 900]]])->assertStatus(422);
});

test('what a group knew before is any set of its movements', function () {
    $this->postJson("/api/groups/{$this->group->id}/before", ['id' => (string) Str::ulid(), 'passages' => [['from' => 3, 'to' => 4], ['from' => 1, 'to' => 1]], 'at' => '2026-01-06T12:00:00+01:00'])->assertNoContent();
    expect($this->getJson("/api/groups/{$this->group->id}")->json('taught'))->toBe([1, 3, 4]);
    $this->postJson("/api/groups/{$this->group->id}/before", ['id' => (string) Str::ulid(), 'passages' => [['from' => 3, 'to' => 2]], 'at' => '2026-01-06T12:00:00+01:00'])->assertStatus(422);
    $this->postJson("/api/groups/{$this->group->id}/before", ['id' => (string) Str::ulid(), 'at' => '2026-01-06T12:00:00+01:00'])->assertStatus(422);
});

test('two forms take turns by evenings, until one of them goes', function () {
    $second = $this->postJson('/api/forms', ['text' => "# Lamps\n1. One\n2. Two\n3. Three\n4. Four", 'filename' => 'lamps.txt'])->assertSuccessful()->json('id');
    $this->postJson("/api/terms/{$this->term->id}/courses", ['form' => $second, 'approach' => 'piece', 'share' => 0.4])->assertCreated();
    ($this->say)(['turns' => [0, 0, 1]])->assertOk();
    $term = ($this->show)();
    $own = fn (int $course): array => array_keys(array_filter(array_map(fn (array $one) => $one['courses'][$course]['lessons'] ?? [], $term['meetings'])));
    expect($term['turns'])->toBe([0, 0, 1])->and(array_diff($own(0), [0, 1, 3, 4, 6, 7, 9]))->toBe([])->and(array_diff($own(1), [2, 5, 8]))->toBe([])->and($own(1))->not->toBe([]);
    $this->deleteJson("/api/courses/{$term['courses'][1]['id']}")->assertNoContent();
    expect(($this->show)()['turns'])->toBe([])->and(array_sum(($this->given)()))->toBeGreaterThan(0);
});

test('a set that is practised whole is followed along until it is taught, and its log says so', function () {
    ($this->say)(['approach' => 'whole'])->assertOk();
    $first = ($this->show)()['meetings'][0]['courses'][0];
    expect($first['lessons'])->toHaveCount(1)->and($first['runThrough'])->toBe(['from' => 1, 'to' => count($this->getJson("/api/forms/{$this->form->id}")->json('entries'))])->and($first['shown'])->not->toBe([]);
    $this->clockAt('2026-01-06T21:00:00+01:00');
    $meeting = $this->meetings($this->term)[0];
    $id = $this->logged($meeting, $this->user);
    $log = $this->inside($this->user->school, fn () => LoggedClass::findOrFail($id)->log());
    $of = fn (DoingKind $what): array => array_merge([], ...array_map(fn (Doing $one) => $one->what === $what ? $one->entries : [], $log->did));
    expect($of(DoingKind::RunThrough))->toBe($of(DoingKind::Taught))->and($of(DoingKind::Followed))->not->toBe([]);
    // What was followed along is met by nobody, and the same log sent again is the same log.
    $ada = collect($this->getJson("/api/groups/{$this->group->id}")->json('students'))->firstWhere('name', 'Ada');
    expect(array_column($ada['cells'], 0))->toHaveCount(count($of(DoingKind::Taught)));
    $sent = json_decode($log->json(), true);
    $this->postJson("/api/meetings/$meeting->id/log", $sent)->assertNoContent();
});

test('a rough round is asked for on one evening, and taken back', function () {
    $meeting = ($this->show)()['meetings'][1]['id'];
    $change = $this->postJson("/api/terms/{$this->term->id}/changes", ['version' => ($this->show)()['version'], 'changes' => [['what' => 'rough', 'meeting' => $meeting, 'course' => $this->course]]])->assertCreated()->json('id');
    expect(($this->show)()['meetings'][1]['courses'][0]['shown'])->not->toBe([])->and(($this->show)()['meetings'][1]['pins']['rough'])->toBe([$this->course]);
    $this->postJson("/api/plan-changes/$change/take-back")->assertNoContent();
    expect(($this->show)()['meetings'][1]['courses'][0]['shown'])->toBe([]);
});

test('a cancelled evening takes its showing with it, says so, and asks for another day', function () {
    ($this->say)(['showing' => ['on' => '2026-02-24', 'to' => 4]])->assertOk();
    $term = ($this->show)();
    $evening = collect($term['meetings'])->firstWhere('on', '2026-02-24');
    expect($evening['kind'])->toBe('showing')->and($term['courses'][0])->toMatchArray(['showingOn' => '2026-02-24', 'showingFallenOut' => null]);
    $moved = $this->postJson("/api/terms/{$this->term->id}/changes", ['version' => $term['version'], 'changes' => [['what' => 'cancel', 'meeting' => $evening['id']]]])->assertCreated()->json('moved');
    expect(array_column($moved, 'code'))->toContain('replan.showing_falls_out');
    $term = ($this->show)();
    expect($term['courses'][0])->toMatchArray(['showingOn' => null, 'showingFallenOut' => '2026-02-24'])->and(array_column($term['warnings'], 'code'))->toContain('plan.showing_falls_out')
        ->and(collect($term['meetings'])->where('state', '<>', 'cancelled')->pluck('kind')->all())->not->toContain('showing');
});

test('one thing that would change a plan is asked about and taken over: faster, spread, weeks lost', function (array $plan, callable $holds) {
    $answer = $this->postJson("/api/terms/{$this->term->id}/questions", ['kind' => 'compare', 'course' => $this->course, 'plans' => [['approach' => 'piece'], ['approach' => 'piece', ...$plan]]])->assertCreated()->json();
    $found = collect($this->getJson("/api/terms/{$this->term->id}/questions")->json())->firstWhere('id', $answer['id']);
    expect($found['state'])->toBe('done')->and($found['answer']['plans'][1]['forecasts'][0]['says']['code'])->toStartWith('pace.');
    $this->postJson("/api/plan-questions/{$answer['id']}/take-over", ['plan' => 1])->assertCreated();
    expect($holds(($this->show)()))->toBeTrue();
})->with([
    'faster' => [['movements' => 5], fn (array $term) => $term['courses'][0]['saidMovements'] == 5],
    'spread' => [['spread' => true], fn (array $term) => $term['courses'][0]['spread'] === true],
    'lost' => [['lost' => 2], fn (array $term) => collect($term['meetings'])->where('state', 'cancelled')->count() === 2],
]);

test('plans of another format are made anew when they are looked at, quietly: no difference is told, and calendars keep their numbers', function () {
    $before = $this->inside($this->user->school, function (): array {
        Term::whereKey($this->term->id)->update(['plan_format' => 1]);
        Meeting::where('term_id', $this->term->id)->update(['plan' => json_encode(['format' => 'gorvan.plan/1', 'on' => '2026-01-06', 'minutes' => 60, 'kind' => 'reserve', 'boxes' => [['kind' => 'review', 'minutes' => 60]], 'courses' => []])]);

        return [Meeting::where('term_id', $this->term->id)->orderBy('id')->pluck('sequence')->all(), PlanChange::count()];
    });
    expect($this->inside($this->user->school, fn (): bool => app(Season::class)->keepCurrent(Term::findOrFail($this->term->id))))->toBeTrue();
    expect($this->inside($this->user->school, fn (): array => [Meeting::where('term_id', $this->term->id)->orderBy('id')->pluck('sequence')->all(), PlanChange::count()]))->toBe($before)
        ->and(($this->show)()['meetings'][0]['kind'])->toBe('lesson')
        ->and($this->inside($this->user->school, fn (): int => Term::findOrFail($this->term->id)->plan_format))->toBe(PlanTerm::FORMAT);
});

test('a log that leaves the plan’s minutes as they were teaches no pace, and one that says its own does', function () {
    $this->clockAt('2026-01-06T21:00:00+01:00');
    $meeting = $this->meetings($this->term)[0];
    $pace = fn (): int => ($this->show)()['courses'][0]['paces'][0]['lessons'];
    $taught = fn (array $more) => ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02'], 'minutes' => 18, ...$more]]];
    $first = $this->logged($meeting, $this->user, $taught(['as_planned' => true]));
    expect($pace())->toBe(0);
    $this->logged($meeting, $this->user, [...$taught(['slack' => 6]), 'replaces' => $first]);
    expect($pace())->toBe(1);
});

test('who will be far from it at the end is named where the term is looked at', function () {
    $term = ($this->long)(40);
    $students = collect($this->getJson("/api/groups/$term->group_id")->json('students'));
    foreach (array_slice($this->meetings($term), 0, 6) as $meeting) {
        $this->clockAt($meeting->on.'T21:00:00+01:00');
        $log = $this->asPlanned($meeting);
        $this->postJson("/api/meetings/$meeting->id/log", [...$log, 'present' => [$students[0]['id'], $students[1]['id']]])->assertNoContent();
    }
    $far = fn (): array => $this->getJson("/api/terms/$term->id")->json('courses.0.forecast.far');
    expect($far())->toHaveCount(1)->and($far()[0])->studentId->toBe($students[2]['id'])->name->toBe($students[2]['name'])->behind->toBeGreaterThan(2);
});

test('an order of a run-through is picked for an evening, planned, shown, and taken back', function () {
    $term = ($this->long)(24);
    $meetings = $this->meetings($term);
    $show = fn (): array => $this->getJson("/api/terms/$term->id")->assertOk()->json();
    $course = $show()['courses'][0]['id'];
    $part = fn (): array => collect($show()['meetings'])->firstWhere('id', $meetings[4]->id)['courses'][0];
    expect($part()['order'])->toBe('as_written');
    $change = $this->postJson("/api/terms/$term->id/changes", ['version' => $show()['version'], 'changes' => [['what' => 'run_order', 'meeting' => $meetings[4]->id, 'course' => $course, 'order' => 'backwards']]])->assertCreated();
    expect($part()['order'])->toBe('backwards');
    expect($this->getJson("/api/meetings/{$meetings[4]->id}")->json('meeting.courses.0.order'))->toBe('backwards');
    $this->postJson("/api/plan-changes/{$change->json('id')}/take-back")->assertSuccessful();
    expect($part()['order'])->toBe('as_written');
    $this->postJson("/api/terms/$term->id/changes", ['version' => $show()['version'], 'changes' => [['what' => 'run_order', 'meeting' => $meetings[4]->id, 'course' => $course, 'order' => 'sideways']]])->assertUnprocessable();
});

test('teaching past a lesson’s end, and several lessons on one evening, read as what happened', function (int $lessons, int $more) {
    $term = ($this->long)(30);
    $show = fn (): array => $this->getJson("/api/terms/$term->id")->assertOk()->json();
    $course = $show()['courses'][0];
    $cut = $this->getJson("/api/forms/{$course['form']['id']}?course={$course['id']}")->json('lessons');
    $to = $cut[$lessons - 1]['to'] + $more;
    $meeting = $this->meetings($term)[0];
    $this->clockAt($meeting->on.'T21:00:00+01:00');
    $taught = array_map(static fn (int $at): string => sprintf('e%02d', $at), range(1, $to));
    $this->postJson("/api/meetings/$meeting->id/log", [...$this->asPlanned($meeting), 'did' => [['what' => 'taught', 'entries' => $taught]]])->assertNoContent();
    $term = $show();
    // The evening shows what it gave, and the next begins after it: the rest of a lesson that was begun, else the next one.
    $next = collect($term['meetings'][1]['courses'][0]['lessons'])->first();
    expect($term['meetings'][0])->isHeld->toBeTrue()->lesson->toBe(['from' => 1, 'to' => $to])->taughtAfter->toBe($to)
        ->and($next['from'])->toBe($to + 1)->and($next['number'])->toBe(collect($cut)->first(fn (array $one): bool => $one['to'] > $to)['number']);
    // It is called by every lesson it gave something of, on its page, in the term and in the line of the season.
    $numbers = array_column(array_filter($cut, static fn (array $one): bool => $one['from'] <= $to), 'number');
    $page = $this->getJson("/api/meetings/$meeting->id")->assertOk()->json();
    expect($term['meetings'][0])->kind->toBe('lesson')->lessonNumbers->toBe($numbers)->and($page['meeting'])->kind->toBe('lesson')->lessonNumbers->toBe($numbers)
        ->and(collect($page['season'])->firstWhere('id', $meeting->id))->kind->toBe('lesson')->lessonNumbers->toBe($numbers);
    // Nothing of what was given is given again, or left for the next term; nothing says so either.
    $planned = collect($term['meetings'])->slice(1)->flatMap(fn (array $one): array => $one['courses'][0]['lessons']);
    expect($planned->min('from'))->toBe($to + 1)
        ->and(array_intersect($term['courses'][0]['forecast']['left'], array_column(array_filter($cut, fn (array $one): bool => $one['to'] <= $to), 'number')))->toBe([]);
    $left = collect($this->getJson("/api/terms/{$term['term']['id']}/changes")->assertOk()->json())->pluck('moved')->flatten(1)->filter(fn (array $one): bool => str_ends_with($one['code'], 'lesson_left'))->pluck('with.what.with.number');
    expect($left->filter(fn (int $number): bool => $cut[$number - 1]['to'] <= $to)->all())->toBe([]);
})->with(['two movements past the first lesson' => [1, 2], 'four lessons on one evening' => [4, 0]]);

test('an evening on which nothing was taught though a lesson was planned brought nothing new', function () {
    $term = ($this->long)(30);
    $meeting = $this->meetings($term)[0];
    $this->clockAt($meeting->on.'T21:00:00+01:00');
    $this->postJson("/api/meetings/$meeting->id/log", [...$this->asPlanned($meeting), 'did' => []])->assertNoContent();
    expect($this->getJson("/api/meetings/$meeting->id")->json('meeting'))->kind->toBe('consolidation')->lessonNumbers->toBe([])->lesson->toBeNull();
});

test('two evenings that fall out, one of them the showing’s: it is said, where they are cancelled and where it is only asked about', function () {
    $term = ($this->long)(30);
    config(['queue.default' => 'sync']);
    $show = fn (): array => $this->getJson("/api/terms/$term->id")->assertOk()->json();
    $course = $show()['courses'][0]['id'];
    $meetings = $this->meetings($term);
    $this->clockAt($meetings[3]->on.'T12:00:00+01:00');
    $this->patchJson("/api/courses/$course", ['showing' => ['on' => $meetings[4]->on, 'to' => 6]])->assertOk();
    $question = $this->postJson("/api/terms/$term->id/questions", ['kind' => 'compare', 'course' => $course, 'plans' => [['lost' => 0], ['lost' => 2]]])->assertCreated()->json('id');
    $plans = collect($this->getJson("/api/terms/$term->id/questions")->json())->firstWhere('id', $question)['answer']['plans'];
    expect(array_column($plans[0]['warnings'], 'code'))->not->toContain('plan.showing_falls_out')->and(array_column($plans[1]['warnings'], 'code'))->toContain('plan.showing_falls_out');
    $cancel = array_map(static fn (int $at): array => ['what' => 'cancel', 'meeting' => $meetings[$at]->id, 'reason' => 'snow'], [3, 4]);
    expect((string) $this->postJson("/api/terms/$term->id/changes/preview", ['changes' => $cancel])->assertOk()->getContent())->toContain('showing_falls_out');
    $this->postJson("/api/terms/$term->id/changes", ['version' => $show()['version'], 'changes' => $cancel])->assertCreated();
    expect($show()['courses'][0]['showingFallenOut'])->toBe($meetings[4]->on)->and(array_column($show()['warnings'], 'code'))->toContain('plan.showing_falls_out');
});
