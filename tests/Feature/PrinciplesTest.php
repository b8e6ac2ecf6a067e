<?php

declare(strict_types=1);

use App\Models\Mark;
use App\Models\PrincipleVersion;
use Gorvan\Core\Principle\PrincipleFile;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    $own = $this->school('Own School');
    [$this->user, $this->group, $this->form, $this->term] = [$own['user'], $own['group'], $own['form'], $own['term']];
    $this->meetings = $this->meetings($this->term);
    $this->students = $this->inside($this->user->school, fn () => $this->group->students()->orderBy('name')->pluck('students.id')->all());
    $this->actingAs($this->user);
    $this->take = fn (string $file = 'ten-three-families'): array => $this->postJson('/api/principle-sets', ['text' => (string) file_get_contents(database_path("principles/$file.json"))])->assertCreated()->json('set');
    $this->edit = fn (array $set, array ...$edits) => $this->postJson("/api/principle-sets/{$set['id']}/edits", ['base' => $set['version'], 'edits' => $edits]);
    $this->keepingMark = fn (string $principle, string $level = 'Stopped', array $with = []): array => ['id' => (string) Str::ulid(), 'student' => $this->students[0], 'principle' => $principle, 'support' => $level, 'at' => '2026-01-20T19:10:00+01:00', ...$with];
});

/** What an answer says is wrong, in words. */
function toldIn(Illuminate\Testing\TestResponse $answer): string
{
    return App\Words::of(Message::read(JsonNode::of(json_decode((string) $answer->getContent()))));
}

/** @return list<list<string>> the focus of each open meeting, by title */
function focusesOf(array $term): array
{
    $titles = array_column($term['principles']['principles'], 'title', 'id');

    return array_map(fn (array $meeting) => array_map(fn (array $focus) => $titles[$focus['principle']], $meeting['focus']), array_values(array_filter($term['meetings'], fn (array $one) => $one['isOpen'])));
}

test('a set is taken from those that ship, edited as one goes, and every state is kept', function () {
    expect($this->getJson('/api/principle-starters')->assertOk()->json('*.principles'))->toBe([10, 8, 5]);
    $set = ($this->take)();
    $titled = ($this->edit)($set, ['what' => 'put', 'principle' => ['id' => 'p01', 'title' => 'Head afloat', 'family' => 'Shape']])->assertOk()->json();
    expect($titled['version'])->toBe(2)->and($titled['principles'][0]['title'])->toBe('Head afloat')->and($titled['principles'][0]['id'])->toBe($set['principles'][0]['id']);
    $versions = $this->getJson("/api/principle-sets/{$set['id']}/versions")->json();
    expect(array_column($versions, 'number'))->toBe([2, 1])->and($versions[0]['by'])->toBe($this->user->name);
    $this->postJson("/api/principle-sets/{$set['id']}/restore", ['base' => 2, 'number' => 1])->assertOk()->assertJsonPath('principles.0.title', 'Head lightly up')->assertJsonPath('version', 3);
});

test('two who edit different principles are merged, the same one is refused with the name, and a change sent twice is made once', function () {
    $set = ($this->take)();
    $put = fn (string $id, string $title) => ['what' => 'put', 'principle' => ['id' => $id, 'title' => $title]];
    ($this->edit)($set, $put('p01', 'First'))->assertOk();
    ($this->edit)($set, $put('p02', 'Second'))->assertOk()->assertJsonPath('version', 3)->assertJsonPath('principles.0.title', 'First');
    $refused = ($this->edit)($set, $put('p01', 'Third'))->assertConflict();
    expect(toldIn($refused))->toContain($this->user->name)->toContain('"First"');
    $id = (string) Str::ulid();
    foreach ([1, 2] as $_) {
        $this->postJson("/api/principle-sets/{$set['id']}/edits", ['base' => 3, 'id' => $id, 'edits' => [$put('p03', 'Once')]])->assertOk()->assertJsonPath('version', 4);
    }
    expect($this->inside($this->user->school, fn () => PrincipleVersion::count()))->toBe(4);
});

test('what cannot be is refused in a sentence, and nothing is changed', function () {
    $set = ($this->take)();
    expect(toldIn(($this->edit)($set, ['what' => 'put', 'principle' => ['id' => 'p01', 'title' => 'Head', 'family' => 'Shape', 'after' => ['p04']]])->assertUnprocessable()))->toContain('in a circle')
        ->and(toldIn($this->postJson('/api/principle-sets', ['text' => "title\nA\n"])->assertUnprocessable()))->toContain('a CSV file has none')
        ->and(toldIn($this->postJson('/api/principle-sets', ['text' => '{"format":"gorvan.principles/1","title":"T","principles":[{"id":"a","title":"A","after":["a"]}]}'])->assertUnprocessable()))->toContain('comes after itself')
        ->and($this->getJson("/api/principle-sets/{$set['id']}")->json('version'))->toBe(1);
});

test('a set comes out as JSON with its bites and as CSV, and both are read again', function () {
    $set = ($this->take)();
    $url = "/api/principle-sets/{$set['id']}";
    $joined = $this->postJson("$url/forms/{$this->form->id}", ['edit' => ['what' => 'sweep', 'principle' => 'p05', 'entries' => ['e01', 'e02'], 'strength' => 3, 'note' => 'before the step']])->assertOk()->json();
    expect($joined['bites'])->toHaveCount(2);
    $json = $this->get("$url/file?as=json&form={$this->form->id}")->assertOk()->getContent();
    expect(count(PrincipleFile::read($json)->bites->all))->toBe(2);
    $again = $this->postJson('/api/principle-sets', ['text' => $json, 'form' => $this->form->id])->assertCreated()->json();
    expect($this->getJson("/api/principle-sets/{$again['set']['id']}/forms/{$this->form->id}")->json('bites'))->toBe($joined['bites']);
    $csv = $this->get("$url/file?as=csv")->assertOk()->getContent();
    expect($this->postJson('/api/principle-sets', ['text' => $csv, 'title' => 'From CSV'])->assertCreated()->json('set.principles.*.title'))->toBe(array_column($set['principles'], 'title'));
    $this->postJson("$url/import", ['base' => 1, 'text' => $csv])->assertOk()->assertJsonPath('set.version', 2);
});

test('joining is taken back by putting back what was there, unless somebody joined meanwhile', function () {
    $set = ($this->take)();
    $url = "/api/principle-sets/{$set['id']}/forms/{$this->form->id}";
    $sweep = fn (array $entries) => $this->postJson($url, ['edit' => ['what' => 'sweep', 'principle' => 'p01', 'entries' => $entries, 'strength' => 1]])->assertOk()->json();
    $one = $sweep(['e01']);
    $two = $sweep(['e02']);
    $this->postJson($url, ['base' => $one['version'], 'edit' => ['what' => 'put', 'bites' => []]])->assertConflict();
    $this->postJson($url, ['base' => $two['version'], 'edit' => ['what' => 'put', 'bites' => $one['bites']]])->assertOk()->assertJsonCount(1, 'bites');
    expect(toldIn($this->postJson($url, ['edit' => ['what' => 'sweep', 'principle' => 'p01', 'entries' => ['zz'], 'strength' => 1]])->assertUnprocessable()))->toContain('not in the form any more');
});

test('a group that works on a set has a focus planned for every meeting, new ones at most every second, and by hand', function () {
    $set = ($this->take)();
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => $set['id'], 'focuses' => 1])->assertNoContent();
    $term = $this->getJson("/api/terms/{$this->term->id}")->assertOk()->json();
    $focuses = focusesOf($term);
    expect($focuses[0])->toBe(['Head lightly up'])->and(array_unique(array_map(count(...), $focuses)))->toBe([1]);
    $open = array_values(array_filter($term['meetings'], fn (array $one) => $one['isOpen']));
    foreach (array_slice($open, 1) as $at => $meeting) {
        expect($meeting['focus'][0]['isNew'] && $open[$at]['focus'][0]['isNew'])->toBeFalse();
    }
    $by = $set['principles'][7];
    $this->postJson("/api/terms/{$this->term->id}/changes", ['version' => $term['version'], 'changes' => [['what' => 'principles', 'meeting' => $open[2]['id'], 'principles' => [$by['id']], 'week' => true]]])->assertCreated();
    $this->postJson("/api/terms/{$this->term->id}/changes", ['version' => $term['version'], 'changes' => [['what' => 'principles', 'meeting' => $open[2]['id'], 'principles' => [(string) Str::uuid()]]]])->assertUnprocessable();
    $changed = $this->getJson("/api/terms/{$this->term->id}")->json();
    expect(focusesOf($changed)[2])->toBe([$by['title']])->and($changed['meetings'][array_search($open[2]['id'], array_column($changed['meetings'], 'id'), true)]['pins']['principles'])->toBe([$by['id']]);
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => $set['id'], 'focuses' => 4])->assertUnprocessable();
});

test('a group can work on a whole family at a time, for a week', function () {
    $set = ($this->take)();
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => $set['id'], 'focuses' => 0])->assertNoContent();
    $family = collect($set['principles'])->where('family', $set['principles'][0]['family'])->pluck('title')->all();
    $focuses = focusesOf($this->getJson("/api/terms/{$this->term->id}")->assertOk()->json());
    expect(count($family))->toBeGreaterThan(1)->and($focuses[0])->toBe($family)
        ->and($this->getJson("/api/groups/{$this->group->id}")->json('principles.focuses'))->toBe(0);
});

test('a principle that is taken out is gone from the plan and stays in the record', function () {
    $set = ($this->take)('five');
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => $set['id'], 'focuses' => 1])->assertNoContent();
    $first = $set['principles'][0];
    $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [($this->keepingMark)($first['id'])]])->assertOk();
    ($this->edit)($set, ['what' => 'remove', 'id' => $first['key']])->assertOk();
    $term = $this->getJson("/api/terms/{$this->term->id}")->json();
    expect(array_merge([], ...focusesOf($term)))->not->toContain($first['title'])
        ->and($term['principles']['gone'])->toBe([['id' => $first['id'], 'title' => $first['title']]])
        ->and($this->inside($this->user->school, fn () => Mark::whereNotNull('principle_id')->count()))->toBe(1);
    expect(toldIn($this->deleteJson("/api/principle-sets/{$set['id']}")->assertConflict()))->toContain('works on this set');
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => null, 'focuses' => 1])->assertNoContent();
    expect(toldIn($this->deleteJson("/api/principle-sets/{$set['id']}")->assertConflict()))->toContain('it stays');
    $this->deleteJson('/api/principle-sets/'.($this->take)('five')['id'])->assertNoContent();
});

test('marks of principles go on their own ladder, in general or in one entry, and make one standing', function () {
    $set = ($this->take)('five');
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => $set['id'], 'focuses' => 1])->assertNoContent();
    [$root, $upright] = [$set['principles'][0]['id'], $set['principles'][1]['id']];
    $url = "/api/meetings/{$this->meetings[2]->id}/marks";
    $entry = $this->inside($this->user->school, fn () => $this->form->entries()->first()->id);
    $marks = [($this->keepingMark)($root, 'Slow'), ($this->keepingMark)($root, 'Throughout', ['entry' => $entry, 'at' => '2026-01-20T19:40:00+01:00']), ($this->keepingMark)($upright, 'Reminded')];
    $this->postJson($url, ['marks' => $marks])->assertOk();
    $this->postJson($url, ['marks' => $marks])->assertOk();
    $answer = $this->getJson("/api/groups/{$this->group->id}/principles")->assertOk()->json();
    $own = collect($answer['students'])->firstWhere('student', $this->students[0])['keepings'];
    expect(array_column($own, 'keeping', 'principle'))->toBe([$root => 'Throughout', $upright => 'Reminded'])
        ->and($own[0]['holds'])->toBeTrue()->and($own[1]['holds'])->toBeFalse()
        ->and(collect($answer['means'])->firstWhere('principle', $root)['mean'])->toEqualWithDelta(1 / count($this->students), 1e-9)
        ->and(collect($answer['means'])->firstWhere('principle', $root)['slips'])->toBeTrue()
        ->and(collect($answer['means'])->firstWhere('principle', $set['principles'][4]['id'])['slips'])->toBeFalse();
    $meeting = $this->getJson("/api/meetings/{$this->meetings[2]->id}")->json();
    expect($meeting['marks'])->toHaveCount(3)->and($meeting['marks'][0]['principleId'])->not->toBeNull();
    // The movement it was seen in has no mark of its own.
    expect(collect($meeting['students'])->firstWhere('id', $this->students[0])['cells'])->toBe([]);
});

test('a mark of a principle of another set, of a wrong ladder or of a side is refused, and nothing is saved', function (array $with, string $says) {
    $set = ($this->take)('five');
    $other = ($this->take)('eight-keepings');
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => $set['id'], 'focuses' => 1])->assertNoContent();
    $with = array_map(fn (string $value) => $value === 'OTHER' ? $other['principles'][0]['id'] : $value, $with);
    $answer = $this->postJson("/api/meetings/{$this->meetings[2]->id}/marks", ['marks' => [($this->keepingMark)($set['principles'][0]['id']), ($this->keepingMark)($set['principles'][0]['id'], 'Slow', $with)]])->assertUnprocessable();
    expect(toldIn($answer))->toContain($says)->and($this->inside($this->user->school, fn () => Mark::count()))->toBe(0);
})->with([
    [['principle' => 'OTHER'], 'not in the set this group works on'],
    [['support' => 'Alone'], 'not on the ladder of principles'],
    [['side' => 'left'], 'names a side'],
]);

test('a class that worked on a focus leaves it in everybody’s memory, and the next plan knows it', function () {
    $set = ($this->take)('five');
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => $set['id'], 'focuses' => 1])->assertNoContent();
    $meeting = $this->meetings[2];
    $log = fn (string $principle) => ['format' => 'gorvan.log/1', 'id' => (string) Str::ulid(), 'on' => $meeting->on, 'made_at' => '2026-01-20T20:31:07+01:00', 'present' => $this->students, 'did' => [['what' => 'focus', 'principles' => [$principle], 'minutes' => 6]]];
    $this->postJson("/api/meetings/$meeting->id/log", $log((string) Str::uuid()))->assertUnprocessable();
    $this->postJson("/api/meetings/$meeting->id/log", $log($set['principles'][0]['id']))->assertNoContent();
    $this->clockAt('2026-01-27T12:00:00+01:00');
    $answer = $this->getJson("/api/groups/{$this->group->id}/principles")->json();
    expect($answer['students'])->each(fn ($one) => $one->keepings->toHaveCount(1))
        ->and($answer['students'][0]['keepings'][0])->keeping->toBeNull()->recall->toEqualWithDelta(0.665, 0.0005);
    $focus = fn () => collect($this->getJson("/api/terms/{$this->term->id}")->json('meetings'))->firstWhere('isOpen', true)['focus'][0];
    expect($focus())->isNew->toBeFalse()->principle->toBe($set['principles'][0]['id']); // one was new at the meeting before
    // Another set begins anew, whatever was worked on before.
    $other = ($this->take)('eight-keepings');
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => $other['id'], 'focuses' => 1])->assertNoContent();
    expect($focus())->isNew->toBeTrue()->and(App\Words::of(Message::read(JsonNode::of((object) ['code' => $focus()['why']['code'], 'with' => (object) $focus()['why']['with']]))))->toBe('new: what the set begins with');
});

test('a class that was logged without a network keeps its focus when the group has another set by then', function () {
    $set = ($this->take)('five');
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => $set['id'], 'focuses' => 1])->assertNoContent();
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => ($this->take)('eight-keepings')['id'], 'focuses' => 1])->assertNoContent();
    $meeting = $this->meetings[2];
    $this->postJson("/api/meetings/$meeting->id/log", ['format' => 'gorvan.log/1', 'id' => (string) Str::ulid(), 'on' => $meeting->on, 'made_at' => '2026-01-20T20:31:07+01:00', 'present' => $this->students,
        'did' => [['what' => 'focus', 'principles' => [$set['principles'][0]['id']], 'minutes' => 6]]])->assertNoContent();
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => $set['id'], 'focuses' => 1])->assertNoContent();
    expect($this->getJson("/api/groups/{$this->group->id}/principles")->json('students.0.keepings'))->toHaveCount(1);
});

test('an assistant reads principles and marks them, and neither edits nor joins them', function () {
    $set = ($this->take)('five');
    auth()->forgetGuards();
    $this->flushSession();
    $this->actingAs($this->colleague($this->user->school, ['name' => 'Helper', 'email' => 'helper@reeds.test', 'password' => 'a long password', 'role' => App\Models\Role::Assistant]));
    $this->getJson("/api/principle-sets/{$set['id']}")->assertOk();
    ($this->edit)($set, ['what' => 'remove', 'id' => 'f5'])->assertForbidden();
    $this->postJson("/api/principle-sets/{$set['id']}/forms/{$this->form->id}", ['edit' => ['what' => 'copy']])->assertForbidden();
    $this->putJson("/api/groups/{$this->group->id}/principles", ['set' => null, 'focuses' => 1])->assertForbidden();
});
