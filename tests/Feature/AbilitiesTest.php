<?php

declare(strict_types=1);

use App\Models\Role;
use App\Models\User;
use App\Policies\Abilities;
use App\Policies\Ability;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    ['user' => $this->owner, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->meeting = $this->meetings($this->term)[2];
    $this->as = function (Role $role): User {
        $user = $this->colleague($this->owner->school, ['name' => $role->value, 'email' => "$role->value@reeds.test", 'password' => 'a long password', 'role' => $role]);
        auth()->forgetGuards();
        $this->flushSession();
        $this->actingAs($user);

        return $user;
    };
    $this->aMark = fn (): array => $this->inside($this->owner->school, fn () => $this->mark($this->group->students()->first()->id, $this->form->entries()->first()->id));
});

test('the table of abilities: an assistant reads and marks, an instructor plans, an owner runs the school', function () {
    $may = fn (Role $role) => array_map(fn (Ability $ability) => $ability->value, Abilities::of($role));
    expect($may(Role::Assistant))->toBe(['read', 'mark'])
        ->and($may(Role::Instructor))->toBe(['read', 'mark', 'plan', 'edit-forms', 'see-considerations'])
        ->and($may(Role::Owner))->toBe(array_column(Ability::cases(), 'value'));
});

test('an assistant marks and reads, and is refused the rest in words', function () {
    ($this->as)(Role::Assistant);
    $this->getJson('/api/today')->assertOk();
    $this->getJson("/api/groups/{$this->group->id}")->assertOk();
    $this->postJson("/api/meetings/{$this->meeting->id}/marks", ['marks' => [($this->aMark)()]])->assertOk();
    $refused = [
        ['POST', '/api/forms', ['text' => '1. A']], ['PUT', "/api/forms/{$this->form->id}/joins", ['joins' => [['after' => 1, 'pin' => null]]]],
        ['DELETE', "/api/terms/{$this->term->id}", []], ['POST', '/api/groups', ['name' => 'X', 'form' => $this->form->id, 'students' => []]],
        ['POST', "/api/meetings/{$this->meeting->id}/log", $this->asPlanned($this->meeting)], ['POST', "/api/groups/{$this->group->id}/before", ['id' => (string) Str::ulid(), 'to' => 1, 'at' => now()->toRfc3339String()]],
    ];
    foreach ($refused as [$method, $uri, $body]) {
        $answer = $this->json($method, $uri, $body)->assertForbidden();
        expect($this->said($answer))->toBe('You may not do this here. Ask an owner of the school.');
    }
});

test('a withdrawal is allowed to whoever may make what it withdraws', function () {
    $log = $this->logged($this->meeting, $this->owner);
    ($this->as)(Role::Assistant);
    $mark = ($this->aMark)();
    $back = fn (string $of) => $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => $id = (string) Str::ulid(), 'of' => $of, 'at' => now()->toRfc3339String()]]]);
    $this->postJson("/api/meetings/{$this->meeting->id}/marks", ['marks' => [$mark]])->assertOk();
    $back($mark['id'])->assertNoContent();
    $back($log)->assertForbidden();
    ($this->as)(Role::Instructor);
    $back($log)->assertNoContent();
});

test('whoever is signed out is told so in words, and nothing of the server', function () {
    auth()->forgetGuards();
    $answer = $this->getJson('/api/today')->assertUnauthorized();
    expect($answer->json('code'))->toBe('http.signed_out');
});
