<?php

declare(strict_types=1);

use App\Models\Entry;
use App\Models\Lesson;
use App\Models\Meeting;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T18:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->actingAs($this->user);
    $this->uri = "/api/forms/{$this->form->id}";
    $this->edit = fn (int $base, array ...$edits) => $this->postJson("$this->uri/edits", ['base' => $base, 'edits' => $edits])->assertOk();
    $this->in = fn (callable $work) => $this->inside($this->user->school, $work);
    $this->meeting = fn (int $n): Meeting => $this->meetings($this->term)[$n];
    $this->lesson = fn (): int => collect($this->meetings($this->term))->search(fn (Meeting $meeting) => isset($meeting->plan['lesson']) && $meeting->starts_at <= now()->endOfDay());
    $this->key = fn (string $key): string => ($this->in)(fn () => Entry::where('key', $key)->firstOrFail()->id);
});

test('lessons and terms are laid again when a change weighs on them, and left alone when it does not', function (array $fields, bool $isWeighty) {
    $lessons = fn () => ($this->in)(fn () => Lesson::orderBy('ordinal')->pluck('id')->all());
    $before = $lessons();
    ($this->edit)(1, ['op' => 'set', 'id' => 'e05', 'fields' => $fields]);
    expect($lessons() !== $before)->toBe($isWeighty);
})->with([
    'a cue' => [['cues' => ['to the {L}']], false],
    'a title' => [['title' => 'Turn about'], false],
    'a caution' => [['cautions' => [['for' => 'knee', 'do' => 'smaller']]], false],
    'a number' => [['number' => 55], false],
    'a turn' => [['turn' => 180], true],
    'a join' => [['cut' => 'always'], true],
    'a relation' => [['returns' => 'e01'], true],
]);

test('a plan from before passages named every entry names them before the order changes', function () {
    $meeting = ($this->meeting)($n = ($this->lesson)());
    $plan = $meeting->plan;
    $named = $plan['lesson']['ids'];
    unset($plan['lesson']['ids']);
    ($this->in)(fn () => $meeting->update(['plan' => $plan, 'log_id' => (string) Str::ulid()])); // held, so that it is not planned anew
    ($this->edit)(1, ['op' => 'move', 'id' => 'e08', 'after' => null], ['op' => 'insert', 'after' => 'e01', 'entries' => [['id' => 'x', 'kind' => 'movement', 'title' => 'New']]]);
    expect(($this->meeting)($n)->plan['lesson']['ids'])->toBe($named);
});

test('what a class was taught stays what it was when the form changes round it', function () {
    $meeting = ($this->meeting)($n = ($this->lesson)());
    $this->postJson("/api/meetings/$meeting->id/log", ['id' => (string) Str::ulid(), 'at' => now()->toRfc3339String()])->assertNoContent();
    $lesson = ($this->meeting)($n)->plan['lesson'];
    $titles = fn () => collect($this->getJson("/api/groups/{$this->group->id}")->assertOk()->json('taught'))
        ->map(fn (int $position) => $this->getJson($this->uri)->json('entries.'.($position - 1).'.id'))->sort()->values()->all();
    $before = $titles();
    expect(array_diff($lesson['ids'], $before))->toBe([]);
    // Something comes in between its entries, and stands elsewhere: it is not counted as taught.
    $first = ($this->in)(fn () => Entry::findOrFail($lesson['ids'][0])->key);
    ($this->edit)(1, ['op' => 'insert', 'after' => $first, 'entries' => [['id' => 'x', 'kind' => 'movement', 'title' => 'New']]]);
    expect($titles())->toBe($before)->not->toContain(($this->key)('x'));
    // One of them is taken out: the others still are.
    ($this->edit)(2, ['op' => 'remove', 'ids' => [$first]]);
    expect($titles())->toBe(array_values(array_diff($before, [$lesson['ids'][0]])));
    $this->getJson("/api/meetings/$meeting->id")->assertOk();
});

test('every meeting can be opened whatever is taken out of the form', function () {
    foreach (['e01', 'e03', 'e04', 'e06', 'e08', 'e02', 'e05'] as $at => $key) {
        ($this->edit)($at + 1, ['op' => 'remove', 'ids' => [$key]]);
        foreach ($this->meetings($this->term) as $meeting) {
            $this->getJson("/api/meetings/$meeting->id")->assertOk();
        }
        $this->getJson("/api/terms/{$this->term->id}")->assertOk();
        $this->getJson('/api/today')->assertOk();
    }
    $this->postJson("$this->uri/edits", ['base' => 8, 'edits' => [['op' => 'remove', 'ids' => ['e07']]]])->assertUnprocessable()->assertJsonFragment(['message' => 'Entries: a form needs at least one entry.']);
});

test('a change the lessons cannot be cut after is refused, and nothing of it is kept', function () {
    $this->putJson("$this->uri/cutting", ['lessons' => 8])->assertOk();
    $this->postJson("$this->uri/edits", ['base' => 1, 'edits' => [['op' => 'remove', 'ids' => ['e08']]]])->assertUnprocessable();
    $this->getJson("$this->uri/score")->assertJsonPath('version', 1)->assertJsonCount(8, 'rows');
});

test('marks stay with their entry through a move, a split, a merge and an import', function () {
    $meeting = ($this->meeting)(2);
    [$student, $entry] = [($this->in)(fn () => $this->group->students()->first()->id), ($this->key)('e02')];
    $this->postJson("/api/meetings/$meeting->id/marks", ['marks' => [$this->mark($student, $entry)]])->assertOk();
    $marked = fn () => collect($this->getJson("/api/meetings/$meeting->id")->json('marks'))->pluck('entryId')->all();
    ($this->edit)(1, ['op' => 'move', 'id' => 'e02', 'after' => 'e05']);
    ($this->edit)(2, ['op' => 'split', 'id' => 'e02', 'as' => 'x']);
    ($this->edit)(3, ['op' => 'merge', 'id' => 'e02']);
    $list = $this->get("$this->uri/file?as=list")->getContent();
    $this->postJson("$this->uri/import", ['base' => 4, 'text' => str_replace('Gather', 'Gather all', $list)])->assertOk();
    expect($marked())->toBe([$entry])->and(($this->key)('e02'))->toBe($entry);
});
