<?php

declare(strict_types=1);

use App\Models\SignInProvider;

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
