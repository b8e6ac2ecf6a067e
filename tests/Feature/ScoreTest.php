<?php

declare(strict_types=1);

use App\Actions\KeepForm;
use App\Actions\ReviseForm;
use App\Models\Entry;
use App\Models\Form;
use App\Models\FormVersion;
use App\Models\Mark;
use App\Models\Role;
use Gorvan\Core\Form\Edit\SetEntry;

/** @param  list<array<string, mixed>>  $messages @return list<string> what a page says of them */
function saidOf(array $messages): array
{
    return array_map(fn (array $one) => App\Words::of(Gorvan\Core\Reading\Message::read(Gorvan\Core\Reading\JsonNode::parse(json_encode($one)))), $messages);
}

beforeEach(function () {
    $this->clockAt('2026-01-20T18:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->actingAs($this->user);
    $this->uri = "/api/forms/{$this->form->id}";
    $this->edit = fn (int $base, array ...$edits) => $this->postJson("$this->uri/edits", ['base' => $base, 'edits' => $edits]);
    $this->colleague = fn () => $this->colleague($this->user->school, ['name' => 'Bea', 'email' => 'bea@example.test', 'password' => 'a long password', 'role' => Role::Instructor]);
});

test('edits whose answer was lost are sent again and made once', function () {
    $id = (string) Illuminate\Support\Str::ulid();
    $send = fn (int $base, string $title) => $this->postJson("$this->uri/edits", ['base' => $base, 'id' => $id, 'edits' => [['op' => 'set', 'id' => 'e01', 'fields' => ['title' => $title]]]]);
    $first = $send($this->form->version, 'Heron')->assertOk()->json('score.version');
    $again = $send($this->form->version, 'Heron')->assertOk()->json();
    expect($again['score']['version'])->toBe($first)->and($again['form']['entries'][0]['title'])->toBe('Heron');
    // Somebody else's change of the same entry is still refused.
    $this->postJson("$this->uri/edits", ['base' => $this->form->version, 'id' => (string) Illuminate\Support\Str::ulid(), 'edits' => [['op' => 'set', 'id' => 'e01', 'fields' => ['title' => 'Crane']]]])->assertConflict();
});

/** @return list<string> */
function keysOf(Illuminate\Testing\TestResponse $answer): array
{
    return array_column($answer->json('score.rows') ?? $answer->json('rows'), 'key');
}

test('the score holds cells, the whole entry, findings and totals; the form itself is asked for apart', function () {
    $this->getJson("$this->uri/score")->assertOk()
        ->assertJsonPath('version', 1)
        ->assertJsonPath('rows.1.cells.side', 'left')
        ->assertJsonPath('rows.2.entry.mirrors', 'e02')
        ->assertJsonPath('head.title', 'Short set')
        ->assertJsonPath('audit.totals.movements', 8)
        ->assertJsonMissingPath('form');
});

test('a cell is saved as typed, makes a version, and cuts again what it weighs on', function () {
    $before = $this->getJson($this->uri)->json('totalLoad');
    ($this->edit)(1, ['op' => 'set', 'id' => 'e01', 'cells' => ['turn' => '−135°', 'stance' => 'empty']])->assertOk()
        ->assertJsonPath('score.version', 2)
        ->assertJsonPath('score.rows.0.entry.turn', -135)
        ->assertJsonPath('form.totalLoad', $before + 0.5);
    $versions = $this->getJson("$this->uri/versions")->assertOk()->json();
    expect($versions[0])->toMatchArray(['number' => 2, 'by' => 'Teacher', 'by' => 'Teacher'])
        ->and($versions[1]['number'])->toBe(1);
});

test('a value that cannot be is refused at its cell, and all of the edit with it', function () {
    ($this->edit)(1, ['op' => 'set', 'id' => 'e01', 'cells' => ['breaths' => '3']], ['op' => 'set', 'id' => 'e02', 'cells' => ['side' => 'upward']])
        ->assertUnprocessable()->assertJsonPath('place', 'e02.side')->tap(fn ($answer) => expect($this->said($answer))->toBe('Side: must be one of left, right, both, centre, not "upward".'));
    $this->getJson("$this->uri/score")->assertJsonPath('version', 1)->assertJsonPath('rows.0.cells.breaths', '');
});

test('two people at once are merged where they touch different entries, and the later is told where they touch the same', function () {
    $bea = ($this->colleague)();
    $this->inside($this->user->school, fn () => app(ReviseForm::class)->edit(Form::findOrFail($this->form->id), 1, [new SetEntry('e02', cells: ['turn' => '45'])], $bea));
    ($this->edit)(1, ['op' => 'set', 'id' => 'e05', 'cells' => ['turn' => '90']])->assertOk()->assertJsonPath('score.version', 3)->assertJsonPath('score.rows.1.entry.turn', 45);
    ($this->edit)(1, ['op' => 'set', 'id' => 'e02', 'cells' => ['turn' => '10']])->assertStatus(409)->assertJsonPath('place', 'e02');
    expect($this->getJson("$this->uri/versions")->json('1.by'))->toBe($bea->name);
    $this->getJson("$this->uri/score")->assertJsonPath('rows.1.entry.turn', 45);
    // Two changes of the order at once cannot be merged; one of the order and one of an entry can.
    ($this->edit)(3, ['op' => 'remove', 'ids' => ['e08']])->assertOk();
    ($this->edit)(3, ['op' => 'move', 'id' => 'e07', 'after' => null])->assertStatus(409);
    ($this->edit)(3, ['op' => 'set', 'id' => 'e01', 'cells' => ['breaths' => '1']])->assertOk();
});

test('an entry that is taken out keeps its marks until it is put back', function () {
    $meeting = $this->meetings($this->term)[2];
    [$student, $entry] = $this->inside($this->user->school, fn () => [$this->group->students()->first()->id, Entry::where('key', 'e02')->first()->id]);
    $this->postJson("/api/meetings/$meeting->id/marks", ['marks' => [$this->mark($student, $entry)]])->assertOk();
    ($this->edit)(1, ['op' => 'remove', 'ids' => ['e02']])->assertOk();
    expect($this->inside($this->user->school, fn () => [Mark::count(), Entry::whereNull('position')->count()]))->toBe([1, 1]);
    $this->getJson("/api/groups/{$this->group->id}")->assertOk();
    $this->getJson("/api/meetings/$meeting->id")->assertOk();
    $this->postJson("$this->uri/restore", ['base' => 2, 'number' => 1])->assertOk();
    expect($this->inside($this->user->school, fn () => Entry::where('key', 'e02')->first()))->id->toBe($entry)->position->toBe(2);
});

test('what was done is taken back and done again, and what came after stays', function () {
    ($this->edit)(1, ['op' => 'set', 'id' => 'e01', 'cells' => ['turn' => '45']]);
    ($this->edit)(2, ['op' => 'insert', 'after' => 'e01', 'entries' => [['id' => 'x', 'kind' => 'movement', 'title' => 'New']]]);
    $back = $this->postJson("$this->uri/take-back", ['version' => 2])->assertOk();
    expect($back->json('score.rows.0.entry'))->not->toHaveKey('turn')->and(keysOf($back)[1])->toBe('x');
    $again = $this->postJson("$this->uri/take-back", ['version' => $back->json('score.version')])->assertOk();
    expect($again->json('score.rows.0.entry.turn'))->toEqual(45);
    ($this->edit)(5, ['op' => 'set', 'id' => 'e01', 'cells' => ['turn' => '90']]);
    $this->postJson("$this->uri/take-back", ['version' => 5])->assertStatus(409)->assertJsonPath('place', 'e01');
    $this->postJson("$this->uri/take-back", ['version' => 99])->assertUnprocessable();
});

test('versions are compared and restored, and a newer one is not overwritten unseen', function () {
    ($this->edit)(1, ['op' => 'move', 'id' => 'e08', 'after' => null], ['op' => 'set', 'id' => 'e01', 'cells' => ['title' => 'Gather up']]);
    $this->getJson("$this->uri/difference?from=1&to=2")->assertOk()
        ->assertJsonPath('moved.0.title', 'Rest')->assertJsonPath('changed.0.fields.0', ['field' => ['code' => 'field.title', 'with' => []], 'before' => 'Gather', 'after' => 'Gather up'])->assertJsonPath('kept', 8);
    $this->postJson("$this->uri/restore", ['base' => 1, 'number' => 1])->assertStatus(409);
    $restored = $this->postJson("$this->uri/restore", ['base' => 2, 'number' => 1])->assertOk();
    expect(keysOf($restored)[0])->toBe('e01')->and(saidOf($this->getJson("$this->uri/versions")->json('0.what'))[0])->toBe('Restored version 1.');
    $this->getJson("$this->uri/difference?from=1&to=77")->assertUnprocessable();
});

test('a form from before versions were kept has its first one kept when it changes', function () {
    $this->inside($this->user->school, fn () => FormVersion::query()->delete());
    ($this->edit)(1, ['op' => 'set', 'id' => 'e01', 'cells' => ['turn' => '45']])->assertOk();
    expect(array_map(saidOf(...), array_column($this->getJson("$this->uri/versions")->json(), 'what')))->toBe([['"Gather": turn – → 45.'], ['As it was.']]);
});

test('the latest states are kept, and no end of them', function () {
    $this->inside($this->user->school, fn () => Form::whereKey($this->form->id)->update(['version' => KeepForm::MOST_VERSIONS]));
    ($this->edit)(KeepForm::MOST_VERSIONS, ['op' => 'set', 'id' => 'e01', 'cells' => ['turn' => '45']])->assertOk();
    expect(array_column($this->getJson("$this->uri/versions")->json(), 'number'))->toBe([KeepForm::MOST_VERSIONS + 1, KeepForm::MOST_VERSIONS]);
});

test('a mend is one edit, and a finding is accepted with its reason until its entry changes', function () {
    $finding = fn (Illuminate\Testing\TestResponse $answer, string $code) => collect($answer->json('score.audit.findings'))->firstWhere('code', $code);
    $wrong = ($this->edit)(1, ['op' => 'form', 'fields' => ['announced' => 9]], ['op' => 'set', 'id' => 'e05', 'cells' => ['side' => 'left']]);
    $mended = ($this->edit)(2, ...$finding($wrong, 'count')['mend']['edits'])->assertOk();
    expect($finding($wrong, 'count')['says'])->toMatchArray(['code' => 'finding.count.announced', 'with' => ['announced' => 9, 'listed' => 8]])->and($finding($mended, 'count'))->toBeNull();
    $sides = $finding($mended, 'sides');
    $accepted = ($this->edit)(3, ['op' => 'accept', 'code' => 'sides', 'grounds' => $sides['grounds'], 'reason' => 'one-sided by tradition'])->assertOk();
    expect($finding($accepted, 'sides'))->toBeNull()->and($accepted->json('score.audit.accepted.0.reason'))->toBe('one-sided by tradition');
    expect($finding(($this->edit)(4, ['op' => 'set', 'id' => 'e05', 'cells' => ['repetition' => '3']]), 'sides'))->not->toBeNull();
});

test('plans of a term keep naming the entries they named when the order changes', function () {
    $plan = fn () => collect($this->getJson("/api/terms/{$this->term->id}")->assertOk()->json('meetings'))->count();
    $meetings = $plan();
    ($this->edit)(1, ['op' => 'insert', 'after' => null, 'entries' => [['id' => 'x', 'kind' => 'movement', 'title' => 'New']]], ['op' => 'remove', 'ids' => ['e06']])->assertOk();
    expect($plan())->toBe($meetings);
    foreach ($this->meetings($this->term) as $meeting) {
        $this->getJson("/api/meetings/$meeting->id")->assertOk();
    }
});

test('import over a form shows what changes first, keeps identities, and does it only on the version that was seen', function () {
    $list = str_replace(["5. Turn\n", '7. Wade'], ["5. Turn about\n9. Kneel\n", '7. Wade (3x)'], Tests\TestCase::LIST);
    $ids = $this->getJson($this->uri)->json('entries.*.id');
    $preview = $this->postJson("$this->uri/import/preview", ['text' => $list])->assertOk()
        ->assertJsonCount(1, 'difference.added')->assertJsonPath('difference.added.0.title', 'Kneel')->assertJsonPath('difference.kept', 8)->assertJsonPath('difference.gone', []);
    expect($preview->json('difference.changed.*.title'))->toBe(['Turn about', 'Wade']);
    // Only what is new has relations to confirm; what stayed keeps its own.
    $again = str_replace("9. Kneel\n", "9. Turn about (L)\n10. Turn about (R)\n", $list);
    $supposed = $this->postJson("$this->uri/import/preview", ['text' => $again])->assertJsonCount(1, 'inferred')->json('inferred.0');
    $declined = $this->postJson("$this->uri/import/preview", ['text' => $again, 'declined' => [$supposed['key'], 'e03']])->json('form.entries');
    expect($declined[$supposed['position'] - 1]['mirrors'])->toBeNull()->and($declined[2]['mirrors'])->toBe(2);
    $this->getJson("$this->uri/score")->assertJsonPath('version', 1);
    ($this->edit)(1, ['op' => 'set', 'id' => 'e01', 'cells' => ['turn' => '45']]);
    $this->postJson("$this->uri/import", ['base' => 1, 'text' => $list])->assertStatus(409);
    $this->postJson("$this->uri/import", ['base' => 2, 'text' => $list])->assertOk()->assertJsonPath('score.rows.0.entry.turn', 45);
    $after = $this->getJson($this->uri)->json('entries.*.id');
    expect(array_values(array_diff($after, array_diff($after, $ids))))->toBe($ids);
});

test('a file whose ids may be those of another form by chance is not read over this one before somebody says whose it is', function () {
    $file = $this->postJson('/api/forms', ['text' => "Stone\nRain\nSnow\nWind"])->assertCreated()->json('id');
    $text = $this->get("/api/forms/$file/file?as=json")->getContent();
    $this->postJson("$this->uri/import/preview", ['text' => $text])->assertOk()->assertJsonPath('doubtful', true);
    $this->postJson("$this->uri/import", ['base' => 1, 'text' => $text])->assertUnprocessable()
        ->tap(fn ($answer) => expect($this->said($answer))->toContain('Say first whether this file is of this form'));
    $this->postJson("$this->uri/import", ['base' => 1, 'text' => $text, 'ids' => 'perhaps'])->assertUnprocessable();
    $other = $this->postJson("$this->uri/import/preview", ['text' => $text, 'ids' => 'other'])->assertOk()->json('difference.gone');
    $same = $this->postJson("$this->uri/import/preview", ['text' => $text, 'ids' => 'same'])->assertOk()->json('difference.gone');
    expect(count($other))->toBe(count($same) + 4);
    $ids = $this->getJson($this->uri)->json('entries.*.id');
    $this->postJson("$this->uri/import", ['base' => 1, 'text' => $text, 'ids' => 'other'])->assertOk();
    expect(array_intersect($ids, $this->getJson($this->uri)->json('entries.*.id')))->toBe([]);
});

test('a form is written as JSON, CSV or a list, and each says beforehand what it cannot carry', function (string $as, string $type) {
    ($this->edit)(1, ['op' => 'set', 'id' => 'e01', 'cells' => ['turn' => '45', 'stance' => '=low']]);
    $file = $this->get("$this->uri/file?as=$as")->assertOk()->assertHeader('Content-Type', "$type; charset=utf-8")->getContent();
    $this->postJson("$this->uri/import/preview", ['text' => $file])->assertOk()
        ->assertJsonPath('difference.added', [])->assertJsonPath('difference.changed', [])->assertJsonPath('difference.gone', [])->assertJsonPath('difference.form', []);
})->with([['json', 'application/json'], ['csv', 'text/csv'], ['list', 'text/plain']]);

test('what CSV and the list lose is told', function () {
    ($this->edit)(1, ['op' => 'set', 'id' => 'e01', 'fields' => ['turn' => 45, 'phases' => [['breath' => 'in']]]]);
    $losses = $this->getJson("$this->uri/losses")->assertOk()->json();
    expect(saidOf($losses['csv']))->toContain('phases of 1 entry')->not->toContain('turn of 1 entry')->and(saidOf($losses['list']))->toContain('turn of 1 entry');
});

test('everything that is wrong with a file is listed with its lines, and nothing is imported', function () {
    $answer = $this->postJson('/api/forms', ['text' => "id,title,turn,returns\na,A,x,\nb,B,90,c\nb,C,1,\n"])->assertUnprocessable();
    expect(saidOf($answer->json('problems')))->toBe(['line 2: column "turn": "x" is not a number', 'line 4: column "id": "b" is also the id on line 3']);
    $this->postJson('/api/forms', ['text' => "id,title,returns\na,A,c\nb,B,\nc,C,a\n"])->assertUnprocessable()
        ->tap(fn ($answer) => expect($this->said($answer))->toBe('Line 2: "A" (entry 1) and "C" (entry 3) return to or mirror each other in a circle; let one of them say neither.'));
    $json = "{\"format\": \"gorvan.form/1\", \"title\": \"T\", \"entries\": [\n{\"id\": \"a\", \"kind\": \"movement\", \"title\": \"A\", \"mirrors\": \"b\"},\n{\"id\": \"b\", \"kind\": \"movement\", \"title\": \"B\", \"returns\": \"a\"}]}";
    $this->postJson("$this->uri/import/preview", ['text' => $json])->assertUnprocessable()->assertJsonPath('place', '2');
    $this->getJson('/api/forms')->assertJsonCount(1);
});

test('floor, times, beats and cards are told for a passage, and refuse what cannot be', function () {
    ($this->edit)(1, ['op' => 'set', 'id' => 'e01', 'fields' => ['travel' => [2, 0], 'turn' => 90, 'cues' => ['to the {L}']]]);
    $this->getJson("$this->uri/floor?width=6&depth=5&students=4&mirrored=1")->assertOk()->assertJsonPath('footings.1', ['x' => 0, 'y' => 2, 'facing' => -90])->assertJsonPath('joins', [1])->assertJsonPath('fit.fits', true);
    $this->getJson("$this->uri/floor?front=1")->assertOk()->assertJsonPath('footings.1.facing', 0);
    $this->getJson("$this->uri/floor?width=0.5")->assertUnprocessable()->tap(fn ($answer) => expect($this->said($answer))->toBe('The width must be between 1 and 200 metres.'));
    $times = $this->getJson("$this->uri/times")->assertOk();
    expect($times->json('whole.seconds'))->toEqual(['class' => 120, 'half' => 240, 'showing' => 96]) // 8 entries, one of them thrice, 12 s each
        ->and(array_sum($times->json('stretches.*.seconds.class')))->toEqual(120)->and($times->json('whole.assumed'))->toBe(8);
    $beats = $this->getJson("$this->uri/beats?from=1&to=1&pace=half")->assertOk()->json();
    expect(array_sum(array_column($beats, 'seconds')))->toEqualWithDelta(24, 1e-9);
    $this->getJson("$this->uri/cards?from=1&to=2&view=facing")->assertOk()->assertJsonCount(2)->assertJsonPath('0.cues.0', 'to the {L}')->assertJsonPath('0.left.code', 'cue.own');
    $this->getJson("$this->uri/cards?from=3&to=2")->assertUnprocessable();
    $this->getJson("$this->uri/cards?from=1&to=99")->assertUnprocessable();
});

test('a pacer’s cues are told as they are said, and its stretches as the form has them', function () {
    ($this->edit)(1, ['op' => 'set', 'id' => 'e01', 'fields' => ['phases' => [['breath' => 'in', 'cue' => 'lift {L}'], ['breath' => 'out']]]]);
    $this->getJson("$this->uri/beats?from=1&to=1")->assertOk()->assertJsonPath('0.cue', 'lift {L}')->assertJsonPath('1.cue', null)->assertJsonPath('0.breath', 'in');
    $this->getJson("$this->uri/times")->assertJsonPath('stretches.*.title', ['At the gate', 'On the water']);
    $this->getJson("$this->uri/beats?pace=slow")->assertUnprocessable();
    $this->getJson("$this->uri/cards?view=above")->assertUnprocessable();
});

test('a room is drawn to where the class stands and goes, in metres', function () {
    ($this->edit)(1, ['op' => 'set', 'id' => 'e01', 'fields' => ['travel' => [5, 0], 'turn' => 270]]);
    $floor = $this->getJson("$this->uri/floor?width=20&depth=20&students=3&step=0.5")->assertOk()->assertJsonPath('turned', -90)->assertJsonCount(3, 'fit.stands')->assertJsonCount(9, 'fit.spots');
    [$start, $end] = [$floor->json('fit.spots.0'), $floor->json('fit.spots.1')];
    expect(hypot($end['x'] - $start['x'], $end['y'] - $start['y']))->toEqualWithDelta(2.5, 1e-9)
        ->and([$start['x'], $start['y']])->toEqualWithDelta($floor->json('fit.start'), 1e-9)
        ->and(array_product($floor->json('fit.block')))->toEqualWithDelta(3 * 1.8 * 1.8, 1e-9);
});

test('what is read is never written: looking at versions, differences and losses keeps no new state', function () {
    $this->inside($this->user->school, fn () => FormVersion::query()->delete());
    foreach (['score', 'versions', 'difference?from=1&to=1', 'losses', 'floor', 'times', 'beats', 'cards', 'file?as=csv'] as $page) {
        $this->get("$this->uri/$page")->assertOk();
    }
    expect($this->inside($this->user->school, fn () => FormVersion::count()))->toBe(0);
});

test('an edit that changes nothing makes no version', function () {
    ($this->edit)(1, ['op' => 'set', 'id' => 'e02', 'cells' => ['side' => 'left']])->assertOk()->assertJsonPath('score.version', 1);
    ($this->edit)(1)->assertOk()->assertJsonPath('score.version', 1);
});

test('pinning a join is a change like any other: it makes a version and can be taken back', function () {
    $this->putJson("$this->uri/joins", ['joins' => [['after' => 4, 'pin' => 'always']]])->assertOk();
    expect($this->getJson("$this->uri/versions")->json('0'))->toMatchArray(['number' => 2, 'by' => 'Teacher'])->and(saidOf($this->getJson("$this->uri/versions")->json('0.what')))->toBe(['"Part the reeds": cut – → always.']);
    $this->postJson("$this->uri/take-back", ['version' => 2])->assertOk();
    expect($this->getJson($this->uri)->json('joins.3.pin'))->toBeNull();
});

test('many changes at once are told in a few sentences', function () {
    ($this->edit)(1, ...array_map(fn (int $n) => ['op' => 'set', 'id' => "e0$n", 'cells' => ['breaths' => '3']], range(1, 8)));
    $what = saidOf($this->getJson("$this->uri/versions")->json('0.what'));
    expect($what)->toHaveCount(7)->and(end($what))->toBe('And 2 more changes.');
    ($this->edit)(2, ['op' => 'remove', 'ids' => ['e01', 'e02', 'e03', 'e05', 'e07', 'e08']]);
    expect(saidOf($this->getJson("$this->uri/versions")->json('0.what'))[0])->toBe('Taken out: "Gather", "Heron", "Heron" and "Turn" and 2 more.');
});

test('every starter can be read, is announced rightly, says what comes from memory, and is none of the demo’s', function () {
    $starters = $this->getJson('/api/starters')->assertOk()->json();
    expect(count($starters))->toBeGreaterThan(1);
    foreach ($starters as $starter) {
        $saved = $this->postJson('/api/forms', ['text' => $starter['text']])->assertCreated();
        $audit = $this->getJson("/api/forms/{$saved->json('id')}/score")->json('audit');
        expect(collect($audit['findings'])->whereIn('severity', ['error'])->all())->toBe([])
            ->and($starter['movements'])->toBe($saved->json('announced'))
            ->and($starter['about'])->toContain('from memory')
            ->and(file_get_contents(base_path('database/demo/DemoSchool.php')))->not->toContain($starter['title']);
    }
});

test('an editor cannot be fed what is no edit', function (array $body, string $says) {
    expect($this->said($this->postJson("$this->uri/edits", $body)->assertUnprocessable()))->toContain($says);
})->with([
    'a list' => [[], 'Base is missing'],
    'nothing' => [['base' => 1], 'edits'],
    'no base' => [['edits' => []], 'Base is missing'],
    'no list' => [['base' => 1, 'edits' => 5], 'list'],
    'an entry that is not there' => [['base' => 1, 'edits' => [['op' => 'merge', 'id' => 'zz']]], 'not in the form any more'],
]);
