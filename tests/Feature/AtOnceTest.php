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
