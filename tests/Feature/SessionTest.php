<?php

declare(strict_types=1);

use App\Models\SignInProvider;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

test('an empty installation is founded once, and its founder is signed in as owner', function () {
    $given = ['school' => 'Reed School', 'timezone' => 'Europe/Lisbon', 'name' => 'Ina', 'email' => 'Ina@Example.test', 'password' => 'a long password'];
    $this->getJson('/api/session')->assertOk()->assertJsonPath('needsFounding', true);
    $this->postJson('/api/founding', [...$given, 'timezone' => 'Mars/Base'])->assertUnprocessable()->assertJsonPath('place', 'timezone');
    $this->postJson('/api/founding', [...$given, 'password' => 'short'])->assertUnprocessable();
    $this->postJson('/api/founding', $given)->assertOk()->assertJsonPath('person.role', 'owner')->assertJsonPath('school.timezone', 'Europe/Lisbon');
    $this->getJson('/api/forms')->assertOk();
    $this->postJson('/api/founding', $given)->assertConflict();
    $this->postJson('/api/founding', [...$given, 'school' => 'Another', 'email' => 'b@example.test'])->assertConflict();
});

test('signing in needs the right password, and signing out ends it', function () {
    $user = $this->found();
    $this->postJson('/api/session', ['email' => $user->email, 'password' => 'wrong'])->assertUnprocessable()->assertJsonPath('place', 'password');
    $this->postJson('/api/session', ['email' => 'nobody@example.test', 'password' => 'a long password'])->assertUnprocessable();
    $this->postJson('/api/session', ['email' => strtoupper($user->email), 'password' => 'a long password'])->assertOk()->assertJsonPath('person.id', $user->id);
    $this->getJson('/api/forms')->assertOk();
    $this->deleteJson('/api/session')->assertOk()->assertJsonPath('person', null);
    auth()->forgetGuards();
    $this->getJson('/api/forms')->assertUnauthorized();
});

test('guessing is slowed down', function () {
    $user = $this->found();
    for ($try = 0; $try < 10; $try++) {
        $this->postJson('/api/session', ['email' => $user->email, 'password' => "wrong $try"])->assertUnprocessable();
    }
    $this->postJson('/api/session', ['email' => $user->email, 'password' => 'a long password'])->assertTooManyRequests();
});

test('passwords are kept hashed and never leave', function () {
    $user = $this->found();
    expect(SignInProvider::byAddress($user->email)?->password)->toStartWith('$2y$')->not->toContain('a long password');
    $this->actingAs($user)->getJson('/api/session')->assertOk()->assertJsonMissingPath('person.password');
});

test('pages may not be framed or load anything from elsewhere', function () {
    $policy = $this->withoutVite()->get('/forms/new')->assertOk()->assertHeader('X-Frame-Options', 'DENY')->headers->get('Content-Security-Policy');
    expect($policy)->toContain("default-src 'self'")->not->toContain('unsafe-eval');
});

test('signing in often, and rightly, is not slowed down', function () {
    $user = $this->found();
    for ($try = 0; $try < 15; $try++) {
        $this->postJson('/api/session', ['email' => $user->email, 'password' => 'a long password'])->assertOk();
    }
});

test('what is missing is said for each field, and what was typed is not sent back', function () {
    $this->found();
    $answer = $this->postJson('/api/session', ['email' => '', 'password' => ''])->assertUnprocessable()->assertJsonPath('fields.email.0.code', 'invalid.required')->assertJsonPath('fields.password.0.code', 'invalid.required');
    expect($answer->getContent())->not->toContain('a long password');
});

test('who founds waits for whoever is founding just now', function () {
    $other = new PDO('pgsql:host='.config('database.connections.pgsql.host').';port='.config('database.connections.pgsql.port').';dbname='.DB::getDatabaseName(), config('database.connections.pgsql.username'), config('database.connections.pgsql.password'));
    $other->beginTransaction();
    $other->exec("select pg_advisory_xact_lock(hashtextextended('founding', 0))");
    DB::statement("set local lock_timeout = '200ms'");
    $given = ['school' => 'Reed School', 'timezone' => 'Europe/Lisbon', 'name' => 'Ina', 'email' => 'ina@example.test', 'password' => 'a long password'];
    expect($this->postJson('/api/founding', $given)->assertStatus(503)->exception?->getMessage())->toContain('lock timeout');
    $other->rollBack();
});

test('a password is long, and none of those that are guessed first', function (string $password, bool $isTaken) {
    $given = ['school' => 'Reed School', 'timezone' => 'Europe/Lisbon', 'name' => 'Ina', 'email' => 'ina@example.test'];
    $answer = $this->postJson('/api/founding', [...$given, 'password' => $password])->assertStatus($isTaken ? 200 : 422);
    if (! $isTaken) {
        expect($answer->json('place'))->toBe('password');
    }
})->with([
    ['elevenchars', false], ['twelve-chars-heron', true], ['password1234', false], ['Password123!', false], ['passwordpassword', false], ['P4$$w0rd2026', false], ['qwertyuiopas', false],
    ['1234567890123', false], ['aaaaaaaaaaaaaa', false], ['abcabcabcabcabc', false], ['Iloveyou!!!!', false], ['welcome12345678', false], ['reeds-at-dusk', true], ['correcthorsebatterystaple', false], ['пароль на закате', true],
]);

test('an address that nobody has takes as much work to refuse as a wrong password', function () {
    $user = $this->found();
    $hashed = 0;
    $count = function (mixed $answer) use (&$hashed): Closure {
        return function () use (&$hashed, $answer): mixed {
            $hashed++;

            return $answer;
        };
    };
    Hash::shouldReceive('make')->andReturnUsing($count('x'));
    Hash::shouldReceive('check')->andReturnUsing($count(false));
    foreach ([$user->email, 'nobody@example.test'] as $n => $email) {
        $this->postJson('/api/session', ['email' => $email, 'password' => 'wrong'])->assertUnprocessable();
        expect($hashed)->toBe($n + 1);
    }
});

test('guessing is slowed down for one client over many addresses, and for one address over many clients', function () {
    $user = $this->found();
    $try = fn (string $email, string $from) => $this->withServerVariables(['REMOTE_ADDR' => $from])->postJson('/api/session', ['email' => $email, 'password' => 'wrong'])->status();
    for ($n = 0; $n < 10; $n++) {
        expect($try("somebody$n@example.test", '10.0.0.1'))->toBe(422);
    }
    expect($try('another@example.test', '10.0.0.1'))->toBe(429);
    for ($n = 0; $n < 100; $n++) {
        expect($try($user->email, "10.0.1.$n"))->toBe(422);
    }
    expect($try($user->email, '10.0.2.1'))->toBe(429)->and($try('another@example.test', '10.0.2.1'))->toBe(422);
    // An hour later whoever forgot their password may try again.
    $this->travel(61)->minutes();
    expect($try($user->email, '10.0.2.1'))->toBe(422);
});

test('whoever guesses at an address shuts nobody out of a device on which its owner signed in before', function () {
    $user = $this->found();
    $sign = fn (string $password, string $from) => $this->withServerVariables(['REMOTE_ADDR' => $from])->postJson('/api/session', ['email' => $user->email, 'password' => $password]);
    $known = $sign('a long password', '10.0.0.9')->assertOk()->getCookie('gorvan_known');
    expect($known?->getValue())->not->toContain('reed-school');
    $this->deleteJson('/api/session');
    auth()->forgetGuards();
    auth()->shouldUse('web'); // as a new request has it
    foreach (['10.0.0.1', '10.0.0.2', '10.0.0.3', '10.0.0.4'] as $from) {
        for ($n = 0; $n < 30; $n++) {
            $sign('wrong', $from);
        }
    }
    for ($n = 0; $n < 100; $n++) {
        $sign('wrong', "10.0.3.$n");
    }
    $sign('a long password', '10.0.0.5')->assertTooManyRequests();
    $this->withCredentials()->withCookie('gorvan_known', (string) $known?->getValue());
    $sign('a long password', '10.0.0.1')->assertOk();
    // The device has a limit of its own, and lets nobody in.
    for ($n = 0; $n < 10; $n++) {
        $sign('wrong', '10.0.0.5')->assertUnprocessable();
    }
    $sign('wrong', '10.0.0.5')->assertTooManyRequests();
});

test('only looking leaves nothing behind; a session begins at sign-in and ends at sign-out', function () {
    config(['session.driver' => 'database']);
    $user = $this->found();
    $this->getJson('/api/session')->assertOk()->assertCookieMissing(config('session.cookie'))->assertCookieMissing('XSRF-TOKEN');
    expect(DB::table('sessions')->count())->toBe(0);
    $cookie = $this->postJson('/api/session', ['email' => $user->email, 'password' => 'a long password'])->assertOk()->getCookie(config('session.cookie'), false);
    expect(DB::table('sessions')->count())->toBe(1);
    $this->withCredentials()->withUnencryptedCookie(config('session.cookie'), (string) $cookie?->getValue())->deleteJson('/api/session')->assertOk();
    expect(DB::table('sessions')->count())->toBe(0);
});

test('another site signs nobody in or out', function () {
    $user = $this->found();
    $given = ['email' => $user->email, 'password' => 'a long password'];
    foreach ([['Origin' => 'http://elsewhere.example'], ['Sec-Fetch-Site' => 'cross-site'], ['Sec-Fetch-Site' => 'same-site'], ['Origin' => 'null']] as $headers) {
        $this->withHeaders($headers)->postJson('/api/session', $given)->assertForbidden();
        $this->flushHeaders();
        $this->withHeader('Referer', (string) config('app.url'));
    }
    $this->withHeaders(['Sec-Fetch-Site' => 'same-origin', 'Origin' => (string) config('app.url')])->postJson('/api/session', $given)->assertOk();
});
