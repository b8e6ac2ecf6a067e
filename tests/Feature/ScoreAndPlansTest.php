<?php

declare(strict_types=1);

use App\Models\Course;
use App\Models\Entry;
use App\Models\Meeting;
use App\Models\Term;
use App\Words;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;

beforeEach(function () {
    $this->clockAt('2026-01-20T18:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->actingAs($this->user);
    $this->uri = "/api/forms/{$this->form->id}";
    $this->edit = fn (int $base, array ...$edits) => $this->postJson("$this->uri/edits", ['base' => $base, 'edits' => $edits])->assertOk();
    $this->in = fn (callable $work) => $this->inside($this->user->school, $work);
    $this->meeting = fn (int $n): Meeting => $this->meetings($this->term)[$n];
    $this->key = fn (string $key): string => ($this->in)(fn () => Entry::where('key', $key)->firstOrFail()->id);
});

test('terms are laid again when a change weighs on them, and left alone when it does not', function (array $fields, bool $isWeighty) {
    $asked = fn () => ($this->in)(fn () => Term::first()->plan_asked);
    ($this->edit)(1, ['op' => 'set', 'id' => 'e05', 'fields' => $fields]);
    expect($asked() > 0)->toBe($isWeighty)->and(($this->in)(fn () => Term::first()->isBeingPlanned()))->toBeFalse();
})->with([
    'a cue' => [['cues' => ['to the {L}']], false],
    'a title' => [['title' => 'Turn about'], false],
    'a caution' => [['cautions' => [['for' => 'knee', 'do' => 'smaller']]], false],
    'a number' => [['number' => 55], false],
    'a turn' => [['turn' => 180], true],
    'a join' => [['cut' => 'always'], true],
    'a relation' => [['returns' => 'e01'], true],
]);

test('a change of the cut says what it moved in running terms, and a course keeps its cut until then', function () {
    ($this->in)(fn () => ($course = Course::first())->update(['cut' => [...$course->cut, 'of_form' => false]])); // it has a cut of its own
    $lessons = fn () => ($this->in)(fn () => Course::first()->lessons());
    $was = $lessons();
    $this->putJson("$this->uri/cutting", ['count' => 8])->assertOk()->assertJsonPath('moved', []); // the size for no group
    expect($lessons())->toBe($was);
    $moved = $this->putJson("$this->uri/joins", ['joins' => [['after' => 1, 'pin' => 'always'], ['after' => 2, 'pin' => 'always']]])->assertOk()->json('moved');
    $said = Words::of(Message::read(JsonNode::parse(json_encode($moved[0]))));
    expect($lessons())->not->toBe($was)->and($lessons()[0])->toBe(['e01'])->and($moved)->not->toBe([])
        ->and($said)->toStartWith('Tuesdays, Winter: ')->toContain('lesson');
});

test('a course that cannot be cut by the new form keeps its lessons, and says so', function () {
    ($this->in)(fn () => ($course = Course::first())->update(['lesson_load' => null, 'lesson_count' => 8, 'cut' => [...$course->cut, 'of_form' => false]]));
    $was = ($this->in)(fn () => Course::first()->lessons());
    $moved = ($this->edit)(1, ['op' => 'remove', 'ids' => ['e08']])->json('form.moved');
    expect($moved[0]['code'])->toBe('moved.cannot')->and(($this->in)(fn () => Course::first()->lessons()))->toBe($was);
    $this->getJson("/api/terms/{$this->term->id}")->assertOk();
});

test('terms that are over are never planned or cut again', function () {
    $this->clockAt('2026-04-01T18:00:00+02:00');
    $before = [($this->in)(fn () => Course::first()->lessons()), ($this->in)(fn () => Meeting::orderBy('starts_at')->pluck('plan')->all())];
    $this->putJson("$this->uri/joins", ['joins' => [['after' => 1, 'pin' => 'always']]])->assertOk()->assertJsonPath('moved', []);
    $this->getJson("/api/terms/{$this->term->id}")->assertOk();
    $meeting = ($this->meeting)(2);
    $this->postJson("/api/meetings/$meeting->id/log", $this->asPlanned($meeting))->assertNoContent();
    expect([($this->in)(fn () => Course::first()->lessons()), ($this->in)(fn () => Meeting::orderBy('starts_at')->pluck('plan')->all())])->toBe($before);
});

test('what a class was taught stays what it was when the form changes round it', function () {
    $meeting = ($this->meeting)(2);
    $this->postJson("/api/meetings/$meeting->id/log", $this->asPlanned($meeting))->assertNoContent();
    $lesson = ($this->in)(fn () => $meeting->planned()->courses[0]->lesson->entries);
    $taught = fn () => collect($this->getJson("/api/groups/{$this->group->id}")->assertOk()->json('taught'))
        ->map(fn (int $position) => $this->getJson($this->uri)->json('entries.'.($position - 1).'.key'))->sort()->values()->all();
    $before = $taught();
    expect($before)->toBe($lesson);
    // Something comes in between its entries, and stands elsewhere: it is not counted as taught.
    ($this->edit)(1, ['op' => 'insert', 'after' => $lesson[0], 'entries' => [['id' => 'x', 'kind' => 'movement', 'title' => 'New']]]);
    expect($taught())->toBe($before);
    // One of them is taken out: the others still are.
    ($this->edit)(2, ['op' => 'remove', 'ids' => [$lesson[0]]]);
    expect($taught())->toBe(array_slice($before, 1));
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
    $this->postJson("$this->uri/edits", ['base' => 8, 'edits' => [['op' => 'remove', 'ids' => ['e07']]]])->assertUnprocessable()->tap(fn ($answer) => expect($this->said($answer))->toBe('Entries: a form needs at least one entry.'));
});

test('a change the lessons cannot be cut after is refused, and nothing of it is kept', function () {
    // With a bar at every join it is one lesson, larger than any may be. A form with lessons of its own keeps them, whatever changes.
    $plain = $this->postJson('/api/forms', ['text' => Tests\TestCase::LIST])->json('id');
    $edits = array_map(static fn (int $at): array => ['op' => 'set', 'id' => "e0$at", 'fields' => ['cut' => 'never']], range(1, 7));
    $this->postJson("/api/forms/$plain/edits", ['base' => 1, 'edits' => $edits])->assertUnprocessable();
    $this->getJson("/api/forms/$plain/score")->assertJsonPath('version', 1)->assertJsonCount(8, 'rows');
    $this->postJson("$this->uri/edits", ['base' => 1, 'edits' => $edits])->assertOk();
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
