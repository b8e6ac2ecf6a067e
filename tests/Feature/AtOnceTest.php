<?php

declare(strict_types=1);

use App\Models\Consideration;
use App\Models\Student;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->actingAs($this->user);
});

test('what another request removed just now is told as that, and nothing is broken', function () {
    // As if the group had gone between the look and the write.
    App\Models\Term::creating(static function (App\Models\Term $term): void {
        $term->group_id = (string) Str::uuid();
    });
    $this->postJson('/api/terms', ['group' => $this->group->id, 'title' => 'Slip', 'from' => '2026-04-01', 'to' => '2026-05-01', 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60]], 'closures' => [], 'approach' => 'piece'])
        ->assertConflict()->assertJsonPath('code', 'http.meanwhile');
    App\Models\Term::flushEventListeners();
    App\Models\Term::clearBootedModels();
});

test('a form is not taken out from under a group that is being made on it', function () {
    $form = $this->postJson('/api/forms', ['text' => Tests\TestCase::LIST])->json('id');
    App\Models\Group::creating(static function (App\Models\Group $group): void {
        $group->form_id = (string) Str::uuid();
    });
    $this->postJson('/api/groups', ['name' => 'Slip', 'form' => $form, 'students' => []])->assertConflict()->assertJsonPath('code', 'http.meanwhile');
    App\Models\Group::flushEventListeners();
    App\Models\Group::clearBootedModels();
});

test('a number that no version can have is refused, and is no fault', function () {
    foreach (["/api/forms/{$this->form->id}/import" => ['text' => 'x'], "/api/forms/{$this->form->id}/take-back" => ['number' => 1], "/api/terms/{$this->term->id}/changes" => ['changes' => []]] as $url => $body) {
        $this->postJson($url, [...$body, 'base' => 9_007_199_254_740_992, 'version' => 9_007_199_254_740_992])->assertUnprocessable();
    }
});

test('one consideration sent four times is kept once, as it was said last', function () {
    $student = $this->inside($this->user->school, fn () => Student::first()->id);
    $id = (string) Str::uuid();
    foreach (['knee', 'knee', 'hip', 'hip'] as $what) {
        $this->putJson("/api/students/$student/considerations/$id", ['what' => $what, 'side' => null, 'since' => null, 'until' => null, 'note' => null])->assertSuccessful();
    }
    expect($this->inside($this->user->school, fn () => Consideration::where('student_id', $student)->get()->map(fn ($one) => $one->noted()->what->value)->all()))->toBe(['hip']);
});

test('a question about a plan is of a course of that term', function () {
    $other = $this->school('Other School');
    $theirs = $this->inside($other['user']->school, fn () => App\Models\Course::first()->id);
    $this->postJson("/api/terms/{$this->term->id}/questions", ['kind' => 'minutes', 'course' => $theirs])->assertUnprocessable()->assertJsonPath('place', 'course');
});

test('a request is what it says it is, whatever a header or a field would make of it', function () {
    $url = "/api/groups/{$this->group->id}";
    $this->postJson($url, ['_method' => 'DELETE'])->assertStatus(405);
    $this->postJson($url, [], ['X-HTTP-Method-Override' => 'DELETE'])->assertStatus(405);
});

test('of two who change the same thing the second is told, and nothing of either is lost', function (Closure $change, array $first, array $second) {
    $put = $change($this);
    $was = $put(null, null);
    $put($first, $was)->assertSuccessful();
    $put($second, $was)->assertConflict()->assertJsonPath('code', 'http.changed');
    expect($put(null, null))->toEqual($first);
    // Sent again, as a lost answer makes a page do, it is no conflict; and whoever has seen what is there may change it.
    $put($first, $was)->assertSuccessful();
    $put($second, $first)->assertSuccessful();
    $put($first, null)->assertSuccessful();
    expect($put(null, null))->toEqual($first);
})->with([
    'the details of a student' => [function ($test): Closure {
        $id = $test->inside($test->user->school, fn () => Student::first()->id);

        return fn (?array $to, ?array $was) => $to === null ? array_intersect_key($test->getJson("/api/students/$id")->json(), ['email' => 1, 'size' => 1]) : $test->putJson("/api/students/$id/details", [...$to, ...($was === null ? [] : ['was' => $was])]);
    }, ['email' => 'ada@example.test', 'size' => 'small'], ['email' => 'ada@example.test', 'size' => 'large']],
    'practice of a group' => [function ($test): Closure {
        $url = "/api/groups/{$test->group->id}/practice";
        $test->logged($test->inside($test->user->school, fn () => App\Models\Meeting::orderBy('starts_at')->firstOrFail()), $test->user);

        return fn (?array $to, ?array $was) => $to === null ? array_intersect_key($test->getJson($url)->json(), ['minutes' => 1, 'days' => 1]) : $test->putJson($url, [...$to, ...($was === null ? [] : ['was' => $was])]);
    }, ['minutes' => 12, 'days' => 3], ['minutes' => 15, 'days' => 3]],
    'the words of letters' => [function ($test): Closure {
        $end = "/api/terms/{$test->term->id}/end";

        return fn (?array $to, ?array $was) => $to === null ? ['words' => $test->getJson($end)->json('words.words'), 'numbers' => $test->getJson($end)->json('words.hasNumbers')] : $test->putJson('/api/school/letter-words', [...$to, ...($was === null ? [] : ['was' => $was])]);
    }, ['words' => ['greeting' => 'Hello {name}!'], 'numbers' => true], ['words' => ['greeting' => 'Dear {name},'], 'numbers' => false]],
    'a consideration' => [function ($test): Closure {
        $url = '/api/students/'.$test->inside($test->user->school, fn () => Student::first()->id).'/considerations';
        $id = (string) Str::uuid();
        $test->putJson("$url/$id", ['what' => 'knee', 'side' => 'left', 'since' => null, 'until' => null, 'note' => null])->assertNoContent();

        return fn (?array $to, ?array $was) => $to === null ? array_diff_key($test->getJson($url)->json('0'), ['id' => 1, 'holds' => 1, 'isReadable' => 1]) : $test->putJson("$url/$id", [...$to, ...($was === null ? [] : ['was' => $was])]);
    }, ['what' => 'knee', 'side' => 'right', 'since' => null, 'until' => null, 'note' => 'since the fall'], ['what' => 'hip', 'side' => 'left', 'since' => null, 'until' => null, 'note' => null]],
]);

test('whoever has everybody’s record read anew takes the students in the order that those who mark them do', function () {
    $heard = [];
    Illuminate\Support\Facades\DB::listen(function ($query) use (&$heard) {
        $heard[] = $query->sql;
    });
    // An entry that loses its sides has other tracks in every record.
    $this->postJson("/api/forms/{$this->form->id}/edits", ['base' => 1, 'edits' => [['op' => 'set', 'id' => 'e04', 'fields' => ['side' => null, 'repetition' => null]]]])->assertOk();
    $written = collect($heard)->search(fn (string $sql): bool => str_starts_with($sql, 'update "students"') && str_contains($sql, 'record_epoch'));
    $before = array_filter(array_slice($heard, 0, (int) $written), fn (string $sql): bool => preg_match('/from "students".*order by "id" asc for no key update/', $sql) === 1);
    expect($written)->toBeInt()->and($before)->not->toBe([]);
});

test('whoever has a term planned again takes it before any student, as whoever logs a class does', function (string $method, string $url, array $body) {
    [$one, $two] = $this->inside($this->user->school, fn () => Student::orderBy('name')->limit(2)->pluck('id')->all());
    $heard = [];
    Illuminate\Support\Facades\DB::listen(function ($query) use (&$heard) {
        $heard[] = $query->sql;
    });
    $replace = ['{group}' => $this->group->id, '{one}' => $one, '{two}' => $two, '{id}' => (string) Str::ulid()];
    $this->json($method, strtr($url, $replace), json_decode(strtr(json_encode($body, JSON_THROW_ON_ERROR), $replace), true))->assertSuccessful();
    $first = static fn (string $pattern): int => array_key_first(preg_grep($pattern, $heard) ?: []) ?? -1;
    expect($first('/from "terms".*for no key update/'))->toBeGreaterThan(-1)
        ->toBeLessThan($first('/from "students".*for (no key )?update|^update "students"/'));
    // A log refers to its group, and need not wait for what is done to it.
    expect(preg_grep('/from "groups".*for update/', $heard))->toBe([]);
})->with([
    'taught before' => ['POST', '/api/groups/{group}/before', ['id' => '{id}', 'to' => 2, 'on' => null, 'at' => '2026-01-20T20:00:00+01:00']],
    'a student who pauses' => ['PUT', '/api/students/{one}/pause', ['isPaused' => true]],
    'two who are one' => ['POST', '/api/students/{one}/joined', ['other' => '{two}', 'isSure' => true]],
]);
