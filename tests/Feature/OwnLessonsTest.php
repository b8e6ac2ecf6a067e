<?php

declare(strict_types=1);

use App\Actions\LayTerm;
use App\Actions\NewCourse;
use App\Actions\ReadForm;
use App\Actions\SaveForm;
use App\Models\Form;
use App\Models\Group;
use Gorvan\Core\Term\Approach;
use Illuminate\Support\Arr;

beforeEach(function () {
    $this->clockAt('2026-01-02T12:00:00+01:00');
    $user = $this->found('Reed School');
    $this->actingAs($user);
    [$this->form, $this->one, $this->other] = $this->inside($user->school, fn (): array => [
        $form = app(SaveForm::class)(app(ReadForm::class)("# Reeds\n".implode("\n", array_map(static fn (int $n): string => "$n. Reed $n", range(1, 24))))->form)->id,
        Group::create(['name' => 'Evening', 'form_id' => $form])->id,
        Group::create(['name' => 'Noon', 'form_id' => $form])->id,
    ]);
    $this->term = fn (string $group, array $with = []): array => ['group' => $group, 'title' => 'T', 'from' => '2026-01-06', 'to' => '2026-03-10', 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60]], 'closures' => [], 'approach' => 'piece', ...$with];
    $this->lay = fn (string $group, array $with = []): array => $this->getJson('/api/terms/'.$this->postJson('/api/terms', ($this->term)($group, $with))->assertCreated()->json('id'))->json();
    $this->lessons = fn (?string $course = null): array => array_map(static fn (array $one): array => [$one['number'], $one['from'], $one['to']], $this->getJson("/api/forms/$this->form".($course === null ? '' : "?course=$course"))->assertOk()->json('lessons'));
    $this->whose = fn (string $course): ?string => $this->getJson("/api/forms/$this->form?course=$course")->json('lessonsOf');
    $this->write = function (int $number, string $note, ?string $course = null): array {
        $at = "/api/forms/$this->form/lessons";
        $page = $this->getJson("$at/$number".($course === null ? '' : "?course=$course"))->assertOk()->json();

        return $this->putJson($at, ['course' => $course, 'version' => $page['version'], 'lesson' => [...$page['lesson'], 'note' => $note]])->assertOk()->json();
    };
    $this->note = fn (int $number, ?string $course = null): ?string => $this->getJson("/api/forms/$this->form/lessons/$number".($course === null ? '' : "?course=$course"))->json('lesson.note');
});

test('the first course gives a form its lessons: lesson 3 is the same on every page, in the next term and in another group', function () {
    $before = ($this->lessons)();
    $course = ($this->lay)($this->one, ['pace' => ['movements' => 3]])['courses'][0]['id'];
    $lessons = ($this->lessons)($course);
    expect($lessons)->not->toBe($before)->and(($this->lessons)())->toBe($lessons)->and(($this->whose)($course))->toBeNull()
        ->and($this->getJson("/api/forms/$this->form")->json('hasOwnLessons'))->toBeTrue()
        ->and($this->getJson("/api/groups/$this->one")->json('course'))->toBe($course);
    ($this->write)(3, 'slowly');
    $next = ($this->lay)($this->other, ['pace' => ['movements' => 2], 'from' => '2026-01-07', 'pattern' => [['weekday' => 'Wed', 'at' => '12:00', 'minutes' => 45]]])['courses'][0]['id'];
    expect(($this->lessons)($next))->toBe($lessons)->and(($this->whose)($next))->toBeNull()->and(($this->note)(3, $next))->toBe('slowly');
    // Written in a class that has the form's lessons, it is written for all.
    ($this->write)(3, 'more slowly', $next);
    ($this->write)(5, 'look up', $next);
    expect(($this->note)(3))->toBe('more slowly')->and(($this->note)(5, $course))->toBe('look up');
});

test('a cut kept on the workbench, with what was written into it, is the cut of every term that is laid', function () {
    $this->putJson("/api/forms/$this->form/cutting", ['count' => 14])->assertOk()->assertJsonPath('hasOwnLessons', true);
    ($this->write)(5, 'the fan opens late');
    $course = ($this->lay)($this->one)['courses'][0]['id'];
    expect(($this->lessons)($course))->toHaveCount(14)->toBe(($this->lessons)())->and(($this->note)(5, $course))->toBe('the fan opens late');
});

test('writing into a lesson keeps the cut it was written for; a pin alone keeps nothing', function () {
    $this->putJson("/api/forms/$this->form/joins", ['joins' => [['after' => 5, 'pin' => 'always']]])->assertOk()->assertJsonPath('hasOwnLessons', false);
    $lessons = ($this->lessons)();
    ($this->write)(2, 'here');
    expect($this->getJson("/api/forms/$this->form")->json('hasOwnLessons'))->toBeTrue()
        ->and(($this->lessons)(($this->lay)($this->one, ['pace' => ['movements' => 1]])['courses'][0]['id']))->toBe($lessons);
});

test('a later course is offered both; one that is cut to its class says whose lessons it has, and can take the form’s again', function () {
    ($this->lay)($this->one, ['pace' => ['movements' => 3]]);
    $lessons = ($this->lessons)();
    ($this->write)(2, 'the second');
    $asked = ($this->term)($this->other, ['pace' => ['movements' => 1], 'takesLessons' => false]);
    $dates = $this->postJson('/api/terms/preview', $asked)->assertOk()->json();
    expect($dates['lessonsTaken'])->toBe(count($lessons))->and($dates['lessonsCut'])->toBeGreaterThan(count($lessons))->and($dates['lessons'])->toBe($dates['lessonsCut'])
        ->and($this->postJson('/api/terms/preview', [...$asked, 'takesLessons' => true])->json('lessons'))->toBe(count($lessons));
    $course = ($this->lay)($this->other, ['pace' => ['movements' => 1], 'takesLessons' => false])['courses'][0]['id'];
    expect(($this->whose)($course))->toBe('Noon')->and(($this->lessons)())->toBe($lessons)->and(($this->lessons)($course))->not->toBe($lessons);
    // What was written goes with its movements, to the lesson that holds most of them, and is said to be of those.
    [, $from, $to] = $lessons[1];
    $with = collect($this->getJson("/api/forms/$this->form/lessons?course=$course")->json())->firstWhere('written', '!=', null);
    expect($with['passage']['from'])->toBeGreaterThanOrEqual($from)->and($with['passage']['to'])->toBeLessThanOrEqual($to)
        ->and($this->getJson("/api/forms/$this->form/lessons/{$with['number']}?course=$course")->json('was'))->toBe(range($from, $to));
    // Written on from here, it stays about the movements it was written about.
    ($this->write)($with['number'], 'the second, again', $course);
    expect(($this->note)(2))->toBe('the second, again');
    $this->patchJson("/api/courses/$course", ['takesLessons' => true])->assertOk();
    expect(($this->whose)($course))->toBeNull()->and(($this->lessons)($course))->toBe($lessons);
    $this->patchJson("/api/courses/$course", ['size' => ['count' => 4]])->assertOk();
    expect(($this->whose)($course))->toBe('Noon')->and(($this->lessons)())->toBe($lessons);
});

test('a target that begins and ends inside the form has the form’s numbers, in the plan too', function () {
    $this->putJson("/api/forms/$this->form/cutting", ['count' => 8])->assertOk();
    $term = ($this->lay)($this->one);
    $course = $term['courses'][0]['id'];
    $this->patchJson("/api/courses/$course", ['from' => 8, 'to' => 17])->assertOk();
    expect(array_column(($this->lessons)($course), 0))->toBe(range(3, 6))->and(($this->lessons)($course)[0])->toBe([3, 8, 9])->and(($this->lessons)($course)[3])->toBe([6, 16, 17]);
    $given = collect($this->getJson("/api/terms/{$term['term']['id']}")->json('meetings'))->flatMap(static fn (array $one) => $one['courses'][0]['lessons'])->pluck('number')->unique()->values()->all();
    expect($given)->toBe([3, 4, 5, 6]);
});

test('cutting the form anew moves the courses that take its lessons, says so, and leaves the others', function () {
    $course = ($this->lay)($this->one)['courses'][0]['id'];
    $own = ($this->lay)($this->other, ['pace' => ['movements' => 1], 'takesLessons' => false])['courses'][0]['id'];
    $was = ($this->lessons)($own);
    $answer = $this->putJson("/api/forms/$this->form/cutting", ['count' => 5])->assertOk();
    expect($answer->json('moved'))->not->toBe([])->and(($this->lessons)($course))->toHaveCount(5)->and(($this->lessons)($own))->toBe($was);
    // A notch that is moved by hand moves alone.
    $lessons = ($this->lessons)();
    $from = $lessons[1][2];
    $this->putJson("/api/forms/$this->form/joins", ['joins' => [['after' => $from + 1, 'pin' => 'always'], ['after' => $from, 'pin' => null, 'isCut' => false]]])->assertOk();
    $expected = $lessons;
    [$expected[1][2], $expected[2][1]] = [$from + 1, $from + 2];
    expect(($this->lessons)())->toBe($expected)->and(($this->lessons)($course))->toBe($expected);
});

test('a course over a part of a form gives it lessons to its end, numbered from its beginning', function () {
    $course = $this->inside(auth()->user()->school, fn (): string => app(LayTerm::class)(
        Group::findOrFail($this->one), 'T', Arr::only(($this->term)($this->one), ['from', 'to', 'pattern', 'closures']),
        [new NewCourse(Form::findOrFail($this->form), Approach::PieceByPiece, firstEntry: 'e07', lastEntry: 'e15')],
    )->courses()->firstOrFail()->id);
    $all = ($this->lessons)();
    expect($all[0][1])->toBe(1)->and(end($all)[2])->toBe(24)->and(array_column($all, 0))->toBe(range(1, count($all)))
        ->and(($this->lessons)($course))->toBe(array_values(array_filter($all, static fn (array $one): bool => $one[1] >= 7 && $one[2] <= 15)))
        ->and(($this->lessons)($course)[0][0])->toBeGreaterThan(1)->and(($this->whose)($course))->toBeNull()
        ->and(($this->lessons)(($this->lay)($this->other)['courses'][0]['id']))->toBe($all);
});

test('a form that comes into a running term has its own lessons there too', function () {
    ($this->lay)($this->one, ['pace' => ['movements' => 3]]);
    $short = $this->inside(auth()->user()->school, fn () => app(SaveForm::class)(app(ReadForm::class)("# Short\n1. One\n2. Two\n3. Three")->form)->id);
    $this->inside(auth()->user()->school, fn () => Group::findOrFail($this->other)->update(['form_id' => $short]));
    $term = ($this->lay)($this->other);
    $this->postJson("/api/terms/{$term['term']['id']}/courses", ['form' => $this->form, 'approach' => 'piece', 'share' => 0.4])->assertCreated();
    $added = $this->getJson("/api/terms/{$term['term']['id']}")->json('courses.1.id');
    expect(($this->lessons)($added))->toBe(($this->lessons)())->and(($this->whose)($added))->toBeNull();
});

test('forms that took turns go on taking them in the next term', function () {
    $short = $this->postJson('/api/forms', ['title' => 'Short', 'text' => "1. One\n2. Two\n3. Three"])->json('form.id') ?? $this->inside(auth()->user()->school, fn () => app(SaveForm::class)(app(ReadForm::class)("# Short\n1. One\n2. Two\n3. Three")->form)->id);
    $term = ($this->lay)($this->one);
    $this->postJson("/api/terms/{$term['term']['id']}/courses", ['form' => $short, 'approach' => 'piece', 'share' => 0.4])->assertCreated();
    $this->patchJson("/api/courses/{$term['courses'][0]['id']}", ['turns' => [0, 0, 1]])->assertOk();
    $next = ($this->lay)($this->one, ['from' => '2026-03-17', 'to' => '2026-05-19', 'after' => $term['term']['id']]);
    expect($next['turns'])->toBe([0, 0, 1])->and($next['courses'])->toHaveCount(2);
});
