<?php

declare(strict_types=1);

use App\Http\Middleware\AnswerOnce;
use App\Models\Form;
use App\Models\GivenAnswer;
use App\Models\Group;
use App\Models\Role;
use App\Models\Student;
use App\Models\Term;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T18:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group] = $this->school();
    $this->actingAs($this->user);
    $this->as = fn (string $id) => $this->withHeaders([AnswerOnce::HEADER => $id]);
    $this->count = fn (string $model): int => $this->inside($this->user->school, fn () => $model::count());
});

test('what makes something makes it once, however often the same request comes, and answers the same', function (string $model, Closure $request) {
    [$uri, $body] = $request($this);
    $before = ($this->count)($model);
    $id = (string) Str::uuid();
    $first = ($this->as)($id)->postJson($uri, $body)->assertCreated();
    $made = ($this->count)($model);
    $again = ($this->as)($id)->postJson($uri, $body)->assertCreated();
    expect($made)->toBeGreaterThan($before)->and(($this->count)($model))->toBe($made)
        ->and($again->getContent())->toBe($first->getContent())->and($again->headers->get('Content-Type'))->toBe('application/json');
})->with([
    'a form' => [Form::class, fn () => ['/api/forms', ['text' => "Reed\nHeron"]]],
    'a group' => [Group::class, fn ($test) => ['/api/groups', ['name' => 'Dawn', 'form' => $test->form->id, 'students' => ['Zed', 'Yve']]]],
    'students' => [Student::class, fn ($test) => ["/api/groups/{$test->group->id}/students", ['students' => ['Zed', 'Yve']]]],
    'a term' => [Term::class, fn ($test) => ['/api/terms', ['group' => $test->group->id, 'title' => 'Summer', 'from' => '2026-06-01', 'to' => '2026-07-31', 'pattern' => [['weekday' => 'Mon', 'at' => '19:00', 'minutes' => 60]], 'closures' => [], 'approach' => 'piece']]],
]);

test('a file that is read over a form or a set, and a state that is restored, are so once; sent again it is no clash with oneself', function () {
    $edit = fn (int $base, string $title) => $this->postJson("/api/forms/{$this->form->id}/edits", ['base' => $base, 'edits' => [['op' => 'set', 'id' => 'e01', 'fields' => ['title' => $title]]]])->assertOk()->json('score.version');
    $file = $this->get("/api/forms/{$this->form->id}/file?as=json")->assertOk()->getContent();
    $set = $this->postJson('/api/principle-sets', ['text' => '{"format":"gorvan.principles/1","title":"T","principles":[{"id":"a","title":"A"}]}'])->assertCreated()->json('set');
    $second = $edit($this->form->version, 'Reed');
    foreach ([
        ["/api/forms/{$this->form->id}/import", ['base' => $second, 'text' => str_replace('Wade', 'Wade far', $file)]],
        ["/api/forms/{$this->form->id}/restore", ['base' => $second + 1, 'number' => $second]],
        ["/api/principle-sets/{$set['id']}/import", ['base' => $set['version'], 'text' => '{"format":"gorvan.principles/1","title":"T","principles":[{"id":"a","title":"B"}]}']],
        ["/api/principle-sets/{$set['id']}/restore", ['base' => $set['version'] + 1, 'number' => $set['version']]],
    ] as [$uri, $body]) {
        $id = (string) Str::uuid();
        $first = ($this->as)($id)->postJson($uri, $body)->assertOk();
        $versions = fn () => count($this->getJson(dirname($uri).'/versions')->json());
        $count = $versions();
        expect(($this->as)($id)->postJson($uri, $body)->assertOk()->getContent())->toBe($first->getContent(), $uri)->and($versions())->toBe($count);
    }
});

test('an id stands for one request of one person', function () {
    $id = (string) Str::uuid();
    $first = ($this->as)($id)->postJson('/api/forms', ['text' => 'Reed'])->assertCreated()->json('id');
    expect($this->said(($this->as)($id)->postJson('/api/forms', ['text' => 'Heron'])->assertUnprocessable()))->toContain('Something else was sent under the same id');
    $colleague = $this->colleague($this->user->school, ['name' => 'B', 'email' => 'b@example.test', 'password' => 'a long password', 'role' => Role::Instructor]);
    $this->flushSession();
    app('auth')->forgetGuards();
    $this->actingAs($colleague);
    ($this->as)($id)->postJson('/api/forms', ['text' => 'Reed'])->assertUnprocessable();
    expect($this->inside($this->user->school, fn () => Form::where('title', 'Untitled form')->pluck('id')->all()))->toBe([$first]);
    ($this->as)('no-uuid')->postJson('/api/forms', ['text' => 'Reed'])->assertUnprocessable();
});

test('what was refused is not kept, and nothing half made stays', function () {
    $id = (string) Str::uuid();
    $students = ($this->count)(Student::class);
    ($this->as)($id)->postJson('/api/groups', ['name' => 'Dawn', 'form' => (string) Str::uuid(), 'students' => ['Zed']])->assertUnprocessable();
    expect([($this->count)(Student::class), ($this->count)(GivenAnswer::class)])->toBe([$students, 0]);
    ($this->as)($id)->postJson('/api/groups', ['name' => 'Dawn', 'form' => $this->form->id, 'students' => ['Zed']])->assertCreated();
});

test('whoever may no longer ask is no longer answered', function () {
    $id = (string) Str::uuid();
    ($this->as)($id)->postJson('/api/forms', ['text' => 'Reed'])->assertCreated();
    $this->inside($this->user->school, fn () => $this->user->update(['role' => Role::Assistant]));
    ($this->as)($id)->postJson('/api/forms', ['text' => 'Reed'])->assertForbidden();
});

test('an answer is kept encrypted and for a day', function () {
    ($this->as)((string) Str::uuid())->postJson('/api/groups', ['name' => 'Dawn', 'form' => $this->form->id, 'students' => ['Zenobia']])->assertCreated();
    expect($this->inside($this->user->school, fn () => DB::table('given_answers')->value('body')))->toBeString()->not->toContain('Zenobia');
    $this->clockAt('2026-01-21T18:00:01+01:00');
    ($this->as)((string) Str::uuid())->postJson('/api/forms', ['text' => 'Reed'])->assertCreated();
    expect(($this->count)(GivenAnswer::class))->toBe(1);
});

test('everything that answers with something new asks for such an id, save where the answer holds a secret', function () {
    Artisan::call('gorvan:openapi');
    $without = [];
    foreach (json_decode(Artisan::output(), true)['paths'] as $path => $methods) {
        if (! isset($methods['post'])) {
            continue;
        }
        $isAsked = in_array(AnswerOnce::HEADER, array_column($methods['post']['parameters'] ?? [], 'name'), true);
        $route = collect(Route::getRoutes()->getRoutes())->first(fn ($one) => "/$one->uri" === $path && in_array('POST', $one->methods(), true));
        $this->assertSame($isAsked, in_array('once', $route->gatherMiddleware(), true), $path);
        if (! $isAsked && isset($methods['post']['responses']['201'])) {
            $without[] = $path;
        }
    }
    expect($without)->toEqualCanonicalizing(['/api/groups/{group}/feed', '/api/groups/{group}/links', '/api/students/{student}/link']);
});
