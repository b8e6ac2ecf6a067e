<?php

declare(strict_types=1);

use App\Models\Meeting;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T18:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->meetings = $this->meetings($this->term);
    $this->actingAs($this->user);
    $this->show = fn (int $number): array => $this->getJson("/api/meetings/{$this->meetings[$number]->id}")->assertOk()->json();
});

test('a meeting says its plan, its season and who may come', function () {
    $page = ($this->show)(2);
    expect($page['meeting'])->toMatchArray(['on' => '2026-01-20', 'startsAt' => '2026-01-20T19:00:00+01:00', 'minutes' => 60, 'isToday' => true, 'isPast' => false, 'isHeld' => false, 'kind' => 'lesson', 'lessonNumber' => 1])
        ->and(array_sum($page['meeting']['boxes']))->toBe(60)
        ->and(array_keys($page['meeting']['boxes']))->toBe(['settle', 'warm_up', 'focus', 'review', 'new', 'run_through', 'close'])
        ->and($page['season'])->toHaveCount(10)
        ->and(array_column($page['students'], 'name'))->toBe(['Ada', 'Bo', 'Cy'])
        ->and($page['present'])->toBe([])
        ->and($page['logId'])->toBeNull();
});

test('a meeting of another day knows that it is not today', function () {
    expect(($this->show)(0)['meeting'])->toMatchArray(['isToday' => false, 'isPast' => true])
        ->and(($this->show)(3)['meeting'])->toMatchArray(['isToday' => false, 'isPast' => false]);
});

test('the plan of a logged class stays as it was, whatever happens to the form', function () {
    $id = (string) Str::ulid();
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/log", ['id' => $id, 'at' => now()->toRfc3339String()])->assertNoContent();
    $held = ($this->show)(2);
    expect($held['logId'])->toBe($id)->and($held['meeting']['isHeld'])->toBeTrue()->and($held['present'])->toHaveCount(3);
    $this->putJson("/api/forms/{$this->form->id}/cutting", ['lessons' => 8])->assertOk();
    $again = ($this->show)(2);
    expect($again['meeting'])->toEqual($held['meeting']);
    $next = collect($again['season'])->first(fn (array $row): bool => ! $row['isPast'] && ! $row['isHeld'] && $row['lesson'] !== null);
    expect($next['lesson']['from'])->toBe($held['meeting']['lesson']['to'] + 1);
});

test('after a first lesson the next meeting reviews it, and leads in from it', function () {
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/log", ['id' => (string) Str::ulid(), 'at' => now()->toRfc3339String()])->assertNoContent();
    $this->clockAt('2026-01-27T18:00:00+01:00');
    $consolidation = ($this->show)(3)['meeting'];
    expect($consolidation['kind'])->toBe('consolidation')
        ->and($consolidation['lesson'])->toBeNull()
        ->and($consolidation['review'])->not->toBe([])
        ->and($consolidation['review'][0]['meanRecall'])->toEqualWithDelta(0.665, 5e-4); // taught a week ago: worked example
    $lesson = ($this->show)(4)['meeting'];
    expect($lesson['lessonNumber'])->toBe(2)
        ->and($lesson['recap']['to'])->toBe($lesson['lesson']['from'] - 1);
});

test('who was noted away is kept, and noting again replaces it', function () {
    [$ada, $bo] = array_column(($this->show)(2)['students'], 'id');
    $url = "/api/meetings/{$this->meetings[2]->id}/attendance";
    $this->putJson($url, ['present' => [$ada => false, $bo => true]])->assertNoContent();
    $this->putJson($url, ['present' => [$ada => false]])->assertNoContent(); // sent twice
    expect(($this->show)(2)['present'])->toEqual([$ada => false, $bo => true]);
    $this->putJson($url, ['present' => [$ada => true]])->assertNoContent();
    expect(($this->show)(2)['present'][$ada])->toBeTrue();
});

test('attendance that makes no sense is refused', function (mixed $present) {
    $this->putJson("/api/meetings/{$this->meetings[2]->id}/attendance", ['present' => $present])->assertUnprocessable();
})->with([
    'nothing' => [null],
    'a text' => ['all'],
    'maybe' => [['00000000-0000-7000-8000-000000000000' => 'maybe']],
]);

test('marks of a meeting are listed until they are taken back', function () {
    $page = ($this->show)(2);
    $mark = $this->mark($page['students'][0]['id'], $page['form']['entries'][0]['id']);
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [$mark]])->assertOk();
    expect(($this->show)(2)['marks'])->toHaveCount(1)
        ->and(($this->show)(2)['marks'][0])->toMatchArray(['id' => $mark['id'], 'support' => 'Alone', 'side' => null])
        ->and(($this->show)(3)['marks'])->toBe([]);
    $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => (string) Str::ulid(), 'of' => $mark['id'], 'at' => now()->toRfc3339String()]]])->assertNoContent();
    expect(($this->show)(2)['marks'])->toBe([]);
});

test('plans name entries by their rows, not by their place', function () {
    $plan = $this->inside($this->user->school, fn () => Meeting::find($this->meetings[2]->id)->plan);
    $ids = $this->inside($this->user->school, fn () => $this->form->entries()->pluck('id')->all());
    expect($ids)->toContain($plan['lesson']['from'])->toContain($plan['lesson']['to']);
});

test('a log that makes no sense is refused', function (array $change, string $key) {
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/log", ['id' => (string) Str::ulid(), 'at' => now()->toRfc3339String(), ...$change])
        ->assertUnprocessable()->assertJsonValidationErrors($key);
})->with([
    'no id' => [['id' => null], 'id'],
    'an id of another kind' => [['id' => '7'], 'id'],
    'no offset' => [['at' => '2026-01-20T20:00:00'], 'at'],
    'next week' => [['at' => '2026-01-27T20:00:00Z'], 'at'],
]);

test('a meeting that is still to come cannot be logged', function () {
    $this->postJson("/api/meetings/{$this->meetings[3]->id}/log", ['id' => (string) Str::ulid(), 'at' => now()->toRfc3339String()])
        ->assertUnprocessable()
        ->assertJsonFragment(['message' => 'This meeting is still to come. Log it on its day or after.']);
    expect(($this->show)(3)['meeting']['isHeld'])->toBeFalse();
});

test('a meeting that went by is logged afterwards, and its lesson is not given twice', function () {
    $this->clockAt('2026-01-21T09:00:00+01:00');
    $late = ($this->show)(2)['meeting'];
    $url = "/api/meetings/{$this->meetings[2]->id}/log";
    $this->postJson($url, ['id' => (string) Str::ulid(), 'at' => '2026-01-20T20:00:00+01:00'])->assertNoContent();
    $lessons = [];
    foreach (($this->show)(2)['season'] as $row) {
        if ($row['lesson'] !== null && ($row['isHeld'] || ! $row['isPast'])) {
            $lessons[] = $row['lesson'];
        }
    }
    expect($lessons[0])->toBe($late['lesson'])
        ->and(array_column($lessons, 'from'))->toBe(array_values(array_unique(array_column($lessons, 'from'))));
});
