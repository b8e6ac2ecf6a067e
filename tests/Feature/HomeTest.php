<?php

declare(strict_types=1);

use App\Actions\KeepConsideration;
use App\Http\Middleware\OpenPersonalLink;
use App\Models\Entry;
use App\Models\HomePractice;
use App\Models\LinkDevice;
use App\Models\Student;
use App\Models\StudentQuestion;
use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\StudentConsideration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:30:00+01:00');
    $this->made = $this->school();
    $this->school = $this->made['user']->school;
    $this->actingAs($this->made['user']);
    $this->group = $this->made['group']->id;
    [$this->ada, $this->bo] = $this->inside($this->school, fn () => Student::orderBy('name')->limit(2)->get()->all());
    foreach (array_slice($this->meetings($this->made['term']), 0, 3) as $meeting) {
        $this->logged($meeting, $this->made['user']);
    }
    $this->clockAt('2026-01-21T10:00:00+01:00');
    $this->token = fn (Student $student): string => Str::after($this->postJson("/api/students/$student->id/link")->assertCreated()->json('address'), '#');
    // As a phone does: no session of a teacher, and the cookie it was given.
    $this->phone = function (string $token): string {
        $answer = $this->postJson('/mine/api/open', ['token' => $token]);
        $answer->assertNoContent();

        return (string) $answer->getCookie(OpenPersonalLink::COOKIE, false)?->getValue();
    };
    $this->mine = fn (string $method, string $path, string $key, array $body = []) => $this->withCredentials()->withUnencryptedCookies([OpenPersonalLink::COOKIE => $key])->withHeader(OpenPersonalLink::HEADER, '1')->json($method, "/mine/api$path", $body, ['Accept' => 'application/json']);
});

test('everyone in a group takes home at most three passages of what they met, within the minutes a day, on days between the classes', function () {
    $week = $this->getJson("/api/groups/$this->group/practice")->assertOk()->json();
    expect($week['on'])->toBe('2026-01-20')->and($week['next'])->toBe('2026-01-27')
        ->and(array_column($week['sheets'], 'name'))->toBe(['Ada', 'Bo', 'Cy']);
    foreach ($week['sheets'] as $sheet) {
        expect(count($sheet['passages']))->toBeGreaterThan(0)->toBeLessThanOrEqual(3)->and($sheet['minutes'])->toBeLessThanOrEqual(10)
            ->and($sheet['days'])->toBe(['2026-01-21', '2026-01-22', '2026-01-24', '2026-01-25']);
        foreach ($sheet['passages'] as $passage) {
            expect($passage['recallWith'])->toBeGreaterThan($passage['recallWithout']);
        }
    }
    $less = $this->putJson("/api/groups/$this->group/practice", ['minutes' => 1, 'days' => 2])->assertOk()->json();
    expect($less['sheets'][0]['minutes'])->toBeLessThanOrEqual(1)->and(count($less['sheets'][0]['days']))->toBe(2);
    $this->putJson("/api/groups/$this->group/practice", ['minutes' => 0, 'days' => 99])->assertUnprocessable();
});

test('what a student spares is done otherwise on their sheet, and the reason stands nowhere', function () {
    $this->inside($this->school, function () {
        app(KeepConsideration::class)($this->ada, (string) Str::uuid(), new StudentConsideration(Consideration::Neck, note: 'old whiplash'));
        app(App\Actions\ReviseForm::class)->edit($this->made['form']->fresh(), null, [new Gorvan\Core\Form\Edit\SetEntry('e01', ['cautions' => [(object) ['for' => 'neck', 'do' => 'skip']]])], $this->made['user']);
    });
    $answer = $this->getJson("/api/groups/$this->group/practice")->assertOk();
    [$ada, $bo] = $answer->json('sheets');
    $positions = fn (array $sheet) => array_merge(...array_map(fn ($passage) => array_column($passage['entries'], 'position'), $sheet['passages']));
    expect($positions($ada))->not->toContain(1)->and($positions($bo))->toContain(1);
    $own = ($this->mine)('GET', '', ($this->phone)(($this->token)($this->ada)))->assertOk();
    // On the sheet for all it is named beside it, and not why.
    expect($answer->json('together.particulars.0.name'))->toBe('Ada')->and($answer->json('together.particulars.0.entries.0.isLeftOut'))->toBeTrue();
    foreach ([$answer->getContent(), $own->getContent()] as $text) {
        expect(stripos($text, 'whiplash'))->toBeFalse()->and(stripos($text, 'neck'))->toBeFalse();
    }
});

test('a link opens one student’s own on a device, and nothing of anyone else', function () {
    $key = ($this->phone)(($this->token)($this->ada));
    $own = ($this->mine)('GET', '', $key)->assertOk();
    expect($own->json('name'))->toBe('Ada')->and($own->json('weeks.0.group'))->toBe('Tuesdays')
        ->and(count($own->json('weeks.0.passages')))->toBeGreaterThan(0)
        ->and($own->json('weeks.0.passages.0.beats'))->not->toBe([])
        ->and(count($own->json('weeks.0.forms.0.cells')))->toBeGreaterThan(0)
        ->and($own->headers->get('Cache-Control'))->toContain('no-store');
    foreach (['Bo', 'Cy', $this->bo->id, $this->made['user']->email] as $other) {
        expect($own->getContent())->not->toContain($other);
    }
    // The cookie is sent to that page alone, and no script reads it.
    $cookie = $this->postJson('/mine/api/open', ['token' => ($this->token)($this->bo)])->getCookie(OpenPersonalLink::COOKIE, false);
    expect($cookie?->getPath())->toBe('/mine')->and($cookie?->isHttpOnly())->toBeTrue()->and($cookie?->getSameSite())->toBe('strict');
    // And it opens nothing of the school itself.
    $this->app['auth']->forgetGuards();
    $this->withCredentials()->withUnencryptedCookies([OpenPersonalLink::COOKIE => $key])->getJson('/api/students')->assertUnauthorized();
});

test('a link that was renewed, revoked, has expired or is guessed at opens nothing, and all are told alike', function () {
    $first = ($this->token)($this->ada);
    $key = ($this->phone)($first);
    $second = ($this->token)($this->ada);
    $told = [];
    foreach ([$first, Str::replaceLast(substr($second, -1), substr($second, -1) === 'a' ? 'b' : 'a', $second), 'nonsense', '', Str::uuid().'.'.Str::random(40)] as $token) {
        $told[] = $this->postJson('/mine/api/open', ['token' => $token])->assertForbidden()->getContent();
    }
    expect(array_unique($told))->toHaveCount(1);
    ($this->mine)('GET', '', $key)->assertUnauthorized(); // devices of the first go with it
    $again = ($this->phone)($second);
    ($this->mine)('GET', '', $again)->assertOk();
    $this->clockAt('2026-06-20T10:00:00+02:00');
    ($this->mine)('GET', '', $again)->assertUnauthorized();
    $this->postJson('/mine/api/open', ['token' => $second])->assertForbidden();
    $third = ($this->phone)(($this->token)($this->ada));
    $this->deleteJson("/api/students/{$this->ada->id}/link")->assertNoContent();
    ($this->mine)('GET', '', $third)->assertUnauthorized();
});

test('failures are limited and successes are not: a class shares one address', function () {
    $token = ($this->token)($this->ada);
    for ($n = 0; $n < 15; $n++) {
        $this->postJson('/mine/api/open', ['token' => $token])->assertNoContent();
    }
    for ($n = 0; $n < 10; $n++) {
        $this->postJson('/mine/api/open', ['token' => 'x'])->assertForbidden();
    }
    $this->postJson('/mine/api/open', ['token' => 'x'])->assertTooManyRequests();
    // A class shares one address: a right link opens all the same.
    $this->postJson('/mine/api/open', ['token' => $token])->assertNoContent();
});

test('a link that is opened again and again keeps twenty devices, those that were used last', function () {
    $token = ($this->token)($this->ada);
    $first = ($this->phone)($token);
    for ($n = 0; $n < 24; $n++) {
        $this->travel(1)->minutes();
        $last = ($this->phone)($token);
    }
    expect($this->getJson("/api/students/{$this->ada->id}/home")->json('link.devices'))->toBe(20);
    ($this->mine)('GET', '', $first)->assertUnauthorized();
    ($this->mine)('GET', '', $last)->assertOk();
});

test('the teacher sees on how many devices a link was opened; the token itself is nowhere', function () {
    expect($this->getJson("/api/students/{$this->ada->id}/home")->assertOk()->json('link'))->toBeNull();
    $token = ($this->token)($this->ada);
    ($this->phone)($token);
    ($this->phone)($token);
    expect($this->getJson("/api/students/{$this->ada->id}/home")->json('link.devices'))->toBe(2);
    $secret = Str::after($token, '.');
    $kept = $this->inside($this->school, fn () => json_encode([App\Models\StudentLink::all()->toArray(), LinkDevice::all()->toArray()]));
    expect($kept)->not->toContain($secret);
});

test('what is noted is practice: once, for the day it was done, moving recall and making nobody ready or holding', function () {
    $key = ($this->phone)(($this->token)($this->ada));
    $own = ($this->mine)('GET', '', $key)->json();
    $entries = $own['weeks'][0]['passages'][0]['entryIds'];
    $id = (string) Str::uuid();
    $before = collect($this->getJson("/api/students/{$this->ada->id}")->json('forms.0.standing'))->all();
    $send = fn (array $change = []) => ($this->mine)('PUT', "/practices/$id", $key, ['on' => '2026-01-21', 'at' => '2026-01-21T09:30:00+01:00', 'minutes' => 8, 'fromMemory' => true, 'entries' => $entries, ...$change]);
    $send()->assertNoContent();
    $send()->assertNoContent();
    expect($this->inside($this->school, fn () => HomePractice::count()))->toBe(1);
    $after = $this->getJson("/api/students/{$this->ada->id}")->json('forms.0.standing');
    $recall = fn (array $standing) => collect($standing['cells'])->sum(2);
    $ready = fn (array $standing) => $standing['readiness'] ?? $standing['ready'] ?? null;
    expect($recall($after))->toBeGreaterThan($recall($before))->and($ready($after))->toEqual($ready($before));
    // It is there for the teacher, in words that are the student's own.
    $this->getJson("/api/groups/$this->group/home")->assertOk()->assertJsonPath('practices.0.name', 'Ada')->assertJsonPath('practices.0.minutes', 8)->assertJsonPath('practices.0.fromMemory', true);
    // Taken back, all of it is as it was.
    ($this->mine)('DELETE', "/practices/$id", $key)->assertNoContent();
    expect($recall($this->getJson("/api/students/{$this->ada->id}")->json('forms.0.standing')))->toBe($recall($before))
        ->and($this->getJson("/api/groups/$this->group/home")->json('practices'))->toBe([]);
});

test('the same note, or the same question, from two tabs at once is one: the second finds it taken between looking and writing', function (string $what, string $table, array $body) {
    $key = ($this->phone)(($this->token)($this->ada));
    $id = (string) Str::uuid();
    $isFirst = true;
    // The other tab's arrives just after this one has looked for it.
    DB::listen(function ($query) use (&$isFirst, $table, $id): void {
        if ($isFirst && str_starts_with($query->sql, "select * from \"$table\"")) {
            $isFirst = false;
            $row = ['school_id' => $this->school->id, 'id' => $id, 'student_id' => $this->ada->id, 'at' => '2026-01-21T09:30:00+01:00'];
            DB::table($table)->insert($table === 'home_practices' ? [...$row, 'on' => '2026-01-21'] : [...$row, 'text' => 'Which foot?']);
        }
    });
    ($this->mine)('PUT', "/$what/$id", $key, $body)->assertNoContent();
    expect($isFirst)->toBeFalse()->and($this->inside($this->school, fn () => DB::table($table)->where('id', $id)->count()))->toBe(1);
})->with([
    'practice' => ['practices', 'home_practices', ['on' => '2026-01-21', 'at' => '2026-01-21T09:30:00+01:00', 'minutes' => 8, 'fromMemory' => true, 'entries' => []]],
    'a question' => ['questions', 'student_questions', ['text' => 'Which foot?', 'at' => '2026-01-21T09:30:00+01:00']],
]);

test('a phone whose clock is wrong loses nothing: its note counts for the day it arrived', function (string $on, string $counts) {
    $key = ($this->phone)(($this->token)($this->ada));
    ($this->mine)('PUT', '/practices/'.Str::uuid(), $key, ['on' => $on, 'at' => "{$on}T09:30:00+01:00", 'minutes' => null, 'fromMemory' => null, 'entries' => []])->assertNoContent();
    expect($this->inside($this->school, fn () => HomePractice::first()->on))->toBe($counts);
})->with([['2026-01-19', '2026-01-19'], ['2031-05-01', '2026-01-21'], ['1970-01-01', '2026-01-21']]);

test('a note of another student is not touched, whatever id is sent, and entries that are not there are left out', function () {
    [$ada, $bo] = [($this->phone)(($this->token)($this->ada)), ($this->phone)(($this->token)($this->bo))];
    $id = (string) Str::uuid();
    $note = ['on' => '2026-01-21', 'at' => '2026-01-21T09:30:00+01:00', 'minutes' => 5, 'fromMemory' => false, 'entries' => [(string) Str::uuid(), $this->inside($this->school, fn () => Entry::first()->id)]];
    ($this->mine)('PUT', "/practices/$id", $ada, $note)->assertNoContent();
    ($this->mine)('PUT', "/practices/$id", $bo, $note)->assertConflict();
    ($this->mine)('DELETE', "/practices/$id", $bo)->assertNoContent();
    $kept = $this->inside($this->school, fn () => HomePractice::sole());
    expect($kept->withdrawn_at)->toBeNull()->and($kept->practised())->toHaveCount(1);
    ($this->mine)('PUT', '/practices/nonsense', $ada, $note)->assertUnprocessable();
    ($this->mine)('PUT', '/practices/'.Str::uuid(), $ada, [...$note, 'minutes' => 900])->assertUnprocessable();
    // A form of another site cannot send it: the header is missing.
    $this->flushHeaders();
    $this->withCredentials()->withUnencryptedCookies([OpenPersonalLink::COOKIE => $ada])->putJson('/mine/api/practices/'.Str::uuid(), $note)->assertUnauthorized();
});

test('a question reaches the teacher once, and the answer reaches the student', function () {
    $key = ($this->phone)(($this->token)($this->ada));
    $id = (string) Str::uuid();
    $ask = fn () => ($this->mine)('PUT', "/questions/$id", $key, ['text' => 'Which foot <b>first</b>?', 'at' => '2026-01-21T09:30:00+01:00']);
    $ask()->assertNoContent();
    $ask()->assertNoContent();
    expect($this->inside($this->school, fn () => StudentQuestion::count()))->toBe(1);
    $this->getJson("/api/groups/$this->group/home")->assertJsonPath('questions.0.text', 'Which foot <b>first</b>?');
    $this->putJson("/api/student-questions/$id/answer", ['answer' => 'The left.'])->assertNoContent();
    expect($this->getJson("/api/groups/$this->group/home")->json('questions'))->toBe([])
        ->and(($this->mine)('GET', '', $key)->json('notes.questions.0.answer'))->toBe('The left.');
    for ($n = 0; $n < 9; $n++) {
        ($this->mine)('PUT', '/questions/'.Str::uuid(), $key, ['text' => "And $n?", 'at' => '2026-01-21T09:30:00+01:00'])->assertNoContent();
    }
    ($this->mine)('PUT', '/questions/'.Str::uuid(), $key, ['text' => 'More?', 'at' => '2026-01-21T09:30:00+01:00'])->assertUnprocessable()->assertJsonPath('code', 'home.too_many_questions');
});

test('links for a group are made for its own students alone', function () {
    $made = $this->postJson("/api/groups/$this->group/links", ['students' => [$this->ada->id, $this->bo->id]])->assertCreated()->json();
    expect(array_column($made, 'name'))->toBe(['Ada', 'Bo']);
    $this->postJson("/api/groups/$this->group/links", ['students' => [(string) Str::uuid()]])->assertUnprocessable();
});
