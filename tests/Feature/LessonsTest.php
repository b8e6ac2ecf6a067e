<?php

declare(strict_types=1);

use App\Models\Course;
use App\Models\KeptLesson;
use App\Models\Role;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    $this->made = $this->school();
    $this->actingAs($this->made['user']);
    $this->form = $this->made['form']->id;
    $this->course = $this->inside($this->made['user']->school, fn () => Course::first()->id);
    $this->lesson = fn (int|string $number, string $course = '') => $this->getJson("/api/forms/$this->form/lessons/$number".($course === '' ? '' : "?course=$course"));
    $this->keep = fn (array $lesson, int $version = 0, ?string $course = null) => $this->putJson("/api/forms/$this->form/lessons", ['course' => $course, 'version' => $version, 'lesson' => $lesson]);
});

test('a lesson nobody has written for holds what the form says, with what is different about the other side', function () {
    $lessons = $this->getJson("/api/forms/$this->form/lessons")->assertOk()->json();
    // 3 Heron on the right mirrors 2 on the left.
    $with = collect($lessons)->first(fn ($one) => $one['passage']['from'] <= 3 && $one['passage']['to'] >= 3)['number'];
    $page = ($this->lesson)($with)->assertOk()->json();
    $heron = collect($page['entries'])->firstWhere('position', 3);
    expect($page['version'])->toBe(0)
        ->and($heron['difference']['like'])->toBe(2)->and($heron['difference']['isMirrored'])->toBeTrue()
        ->and(array_column($page['steps'], 'mode'))->toBe(['watch', 'together', 'together', 'alone'])
        ->and($page['runThrough']['from'])->toBe(1);
    ($this->lesson)(99)->assertNotFound();
    ($this->lesson)('x')->assertNotFound();
});

test('what a teacher writes is kept under the id of the page, once, and stands at the lesson', function () {
    $page = ($this->lesson)(1)->json();
    $written = [...$page['lesson'], 'note' => 'slowly', 'checks' => ['level'], 'weather' => 'rain'];
    $kept = ($this->keep)($written)->assertOk()->json();
    expect($kept['version'])->toBe(1)->and($kept['lesson']['note'])->toBe('slowly')->and($kept['lesson']['weather'])->toBe('rain');
    ($this->keep)($written)->assertOk()->assertJsonPath('version', 1); // the same sent twice
    ($this->keep)([...$written, 'note' => 'other'], 1)->assertOk()->assertJsonPath('version', 2);
    ($this->keep)([...$written, 'note' => 'theirs'], 1)->assertConflict()->assertJsonPath('code', 'lesson.changed');
    expect($this->inside($this->made['user']->school, fn () => KeptLesson::count()))->toBe(1)
        ->and(($this->lesson)(1)->json('lesson.note'))->toBe('other')
        ->and($this->getJson("/api/forms/$this->form/lessons")->json('0.written'))->toBe($page['lesson']['id']);
    $this->deleteJson("/api/lessons/{$page['lesson']['id']}")->assertNoContent();
    expect(($this->lesson)(1)->json('version'))->toBe(0);
});

test('a lesson that cannot be is refused with its place, and nothing is kept', function (array $says, string $code) {
    $id = ($this->lesson)(1)->json('lesson.id');
    $told = ($this->keep)(['id' => $id, 'entries' => ['e01'], ...$says])->assertUnprocessable()->json();
    expect($told['with']['says']['code'] ?? $told['code'])->toBe($code);
    expect($this->inside($this->made['user']->school, fn () => KeptLesson::count()))->toBe(0);
})->with([
    'no uuid' => [['id' => 'l1'], 'lesson.id'],
    'a kind nobody knows' => [['kind' => 'exam'], 'allowed.one_of'],
    'a circle of drills' => [['drills' => [['id' => 'x', 'title' => 'X', 'parent' => 'e01', 'after' => ['y']], ['id' => 'y', 'title' => 'Y', 'parent' => 'e01', 'after' => ['x']]]], 'contradiction.prerequisites'],
    'a drill for an entry that is none' => [['drills' => [['id' => 'x', 'title' => 'X', 'parent' => 'zz']]], 'gone.named'],
    'a limit that is too short' => [['partner' => ['entry' => 'e01', 'steps' => [], 'limit' => 1]], 'range.between'],
]);

test('words follow their lesson when it is cut otherwise, and say for what they were written', function () {
    $this->putJson("/api/forms/$this->form/cutting", ['count' => 3])->assertOk();
    $page = ($this->lesson)(2)->json();
    ($this->keep)([...$page['lesson'], 'note' => 'mine'])->assertOk();
    $was = array_column($page['entries'], 'position');
    $this->putJson("/api/forms/$this->form/joins", ['joins' => [['after' => $was[0], 'pin' => 'always'], ['after' => $was[0] - 1, 'pin' => 'never']]])->assertOk();
    $found = collect($this->getJson("/api/forms/$this->form/lessons")->json())->firstWhere('written', $page['lesson']['id']);
    expect($found['number'])->not->toBeNull();
    $now = ($this->lesson)($found['number'])->json();
    expect($now['lesson']['note'])->toBe('mine')->and($now['was'])->toBe($was)->and(array_column($now['entries'], 'position'))->not->toBe($was);
    // Kept again, it is for the lesson as it is.
    ($this->keep)($now['lesson'], 1)->assertOk()->assertJsonPath('was', []);
});

test('a change of the form shows at the lessons it touches, until somebody has looked', function () {
    $page = ($this->lesson)(1)->json();
    ($this->keep)([...$page['lesson'], 'note' => 'mine'])->assertOk();
    $key = $page['entries'][0]['key'];
    $this->postJson("/api/forms/$this->form/edits", ['base' => 1, 'edits' => [['op' => 'set', 'id' => $key, 'fields' => ['breaths' => 3]]]])->assertSuccessful();
    $now = ($this->lesson)(1)->json();
    expect($now['changes'])->toHaveCount(1)->and($now['changes'][0]['fields'][0]['after'])->toBe('3')
        ->and(($this->lesson)(2)->json('changes'))->toBe([]);
    ($this->keep)($now['lesson'], 1)->assertOk()->assertJsonPath('changes', []);
});

test('a lesson is used again for a group and term, and adapting it leaves the first alone', function () {
    $page = ($this->lesson)(1)->json();
    ($this->keep)([...$page['lesson'], 'note' => 'first'])->assertOk();
    $id = (string) Str::uuid();
    $again = fn () => $this->postJson("/api/lessons/{$page['lesson']['id']}/use", ['id' => $id, 'course' => $this->course]);
    $again()->assertCreated();
    $again()->assertSuccessful(); // a double click
    $copy = collect($this->getJson("/api/forms/$this->form/lessons?course=$this->course")->json())->firstWhere('written', $id);
    $there = ($this->lesson)($copy['number'] ?? $id, $this->course)->json();
    ($this->keep)([...$there['lesson'], 'note' => 'second'], $there['version'], $this->course)->assertOk();
    expect(($this->lesson)(1)->json('lesson.note'))->toBe('first')
        ->and(($this->lesson)($copy['number'] ?? $id, $this->course)->json('lesson.note'))->toBe('second')
        ->and($this->inside($this->made['user']->school, fn () => KeptLesson::count()))->toBe(2);
});

test('lessons go out as a file and come in again as they were; a file that is wrong changes nothing', function () {
    $page = ($this->lesson)(1)->json();
    ($this->keep)([...$page['lesson'], 'note' => 'mine', 'checks' => ['=level']])->assertOk();
    $file = $this->get("/api/forms/$this->form/lessons-file")->assertOk()->getContent();
    $csv = $this->get("/api/forms/$this->form/lessons-file?as=csv")->assertOk()->getContent();
    expect($csv)->toContain("'=level")->and(json_decode($file)->format)->toBe('gorvan.lessons/1');
    $this->postJson("/api/forms/$this->form/lessons-file", ['text' => str_replace('"e02"', '"zz"', $file)])->assertUnprocessable()->assertJsonPath('with.says.code', 'gone.named');
    $this->postJson("/api/forms/$this->form/lessons-file", ['text' => $file])->assertCreated()->assertJsonPath('count', count(json_decode($file)->lessons));
    // The one that was there is still itself, and the others became lessons of their own.
    expect($this->inside($this->made['user']->school, fn () => KeptLesson::count()))->toBe(count(json_decode($file)->lessons))
        ->and(($this->lesson)(1)->json('lesson.id'))->toBe($page['lesson']['id']);
});

test('words written for a course stay when its term goes: they are the form’s then', function () {
    $page = ($this->lesson)(1, $this->course)->json();
    ($this->keep)([...$page['lesson'], 'note' => 'mine'], 0, $this->course)->assertOk();
    $this->deleteJson("/api/terms/{$this->made['term']->id}")->assertNoContent();
    $found = collect($this->getJson("/api/forms/$this->form/lessons")->json())->firstWhere('written', $page['lesson']['id']);
    expect(($this->lesson)($found['number'] ?? $page['lesson']['id'])->json('lesson.note'))->toBe('mine');
});

test('an assistant reads lessons and writes none', function () {
    $school = $this->made['user']->school;
    $this->actingAs($this->colleague($school, ['name' => 'A', 'email' => 'a@example.test', 'password' => 'a long password', 'role' => Role::Assistant]));
    $page = ($this->lesson)(1)->assertOk()->json();
    ($this->keep)($page['lesson'])->assertForbidden();
});

test('the courses of a form are named with group and term', function () {
    $this->getJson("/api/forms/$this->form/courses")->assertOk()->assertExactJson([['id' => $this->course, 'group' => 'Tuesdays', 'term' => 'Winter']]);
});

test('whoever lets Gorvan decide at a join frees it for the group too, although the form pins it', function () {
    ['form' => $form, 'term' => $term] = $school = $this->school('Free School');
    $this->flushSession();
    app('auth')->forgetGuards();
    $this->actingAs($school['user']);
    $course = $this->inside($school['user']->school, fn () => $term->courses()->first()->id);
    $bench = fn (): array => $this->getJson("/api/forms/$form->id/workbench?course=$course")->assertOk()->json();
    $ends = fn (): array => array_column($bench()['kept']['lessons'], 'to');
    $free = $ends();
    $pin = in_array(5, $free, true) ? 6 : 5;
    $this->putJson("/api/forms/$form->id/joins", ['joins' => [['after' => $pin, 'pin' => 'always']]])->assertOk();
    expect($ends())->toContain($pin);
    $this->patchJson("/api/courses/$course", ['joins' => [['after' => $pin, 'pin' => null]]])->assertOk();
    expect($ends())->toBe($free)->and($bench()['kept']['joins'][$pin - 1]['pin'])->toBeNull();
});
