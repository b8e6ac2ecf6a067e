<?php

declare(strict_types=1);

use App\Models\Form;
use Gorvan\Core\Form\File\FormFileReader;

beforeEach(function () {
    $this->user = $this->found();
    $this->actingAs($this->user);
});

test('a pasted list is shown before it is made, and nothing is saved', function () {
    $this->postJson('/api/forms/preview', ['text' => Tests\TestCase::LIST])->assertOk()
        ->assertJsonPath('form.title', 'Short set')
        ->assertJsonCount(8, 'form.entries')
        ->assertJsonPath('inferred.0', ['position' => 3, 'to' => 2, 'isMirror' => true, 'key' => 'e03'])
        ->assertJsonPath('inferred.1', ['position' => 6, 'to' => 2, 'isMirror' => false, 'key' => 'e06'])
        ->assertJsonPath('warnings', []);
    expect($this->inside($this->user->school, fn () => Form::count()))->toBe(0);
});

test('a saved form is what was shown, but for what was declined', function () {
    $shown = $this->postJson('/api/forms/preview', ['text' => Tests\TestCase::LIST])->json('form');
    $saved = $this->postJson('/api/forms', ['text' => Tests\TestCase::LIST])->assertCreated()->json();
    expect($saved['lessons'])->toEqual($shown['lessons'])->and($saved['totalLoad'])->toEqual($shown['totalLoad']);
    $declined = $this->postJson('/api/forms', ['text' => Tests\TestCase::LIST, 'declined' => ['e03']])->json();
    expect($declined['entries'][2]['mirrors'])->toBeNull()->and($declined['entries'][2]['load'])->toBe(1.2)->and($declined['entries'][5]['returns'])->toBe(2);
});

test('a form file comes back as it went in, unknown keys too', function () {
    $file = json_encode(['format' => 'gorvan.form/1', 'title' => '<b>Heron</b>', 'house' => ['a' => 1, 'none' => new stdClass], 'sections' => [['title' => 'S', 'first' => 1, 'last' => 1, 'hall' => new stdClass]], 'entries' => [['id' => 'x', 'kind' => 'movement', 'title' => '<script>alert(1)</script>', 'zz' => ['b' => new stdClass, 'a' => 2]]]]);
    $id = $this->postJson('/api/forms', ['text' => $file])->assertCreated()->json('id');
    $out = $this->get("/api/forms/$id/file")->assertOk()->assertHeader('Content-Type', 'application/json; charset=utf-8');
    expect(json_decode($out->getContent()))->toEqual(json_decode($file))
        ->and($out->getContent())->toBe((new Gorvan\Core\Form\File\FormFileWriter)->write((new FormFileReader)->read($file)->form));
});

test('a form is the same by its rows and by its entries, one and several at once', function () {
    $ids = array_map(fn (string $title) => $this->postJson('/api/forms', ['text' => "# $title\n1. Reed {L}\n2. Heron\n3. Moon"])->json('id'), ['First', 'Second']);
    $this->inside($this->user->school, function () use ($ids): void {
        App\Models\Entry::where('form_id', $ids[0])->where('position', 2)->update(['position' => null]); // taken out of it
        $all = Form::placedAll(Form::whereKey($ids)->get());
        foreach ($ids as $id) {
            $withEntries = Form::with('entries')->findOrFail($id)->placed();
            expect($all[$id])->toEqual($withEntries)->and(Form::findOrFail($id)->placed())->toEqual($withEntries);
        }
        expect(array_map(fn ($one) => $one->form->count(), $all))->toEqualCanonicalizing([$ids[0] => 2, $ids[1] => 3])->and(Form::placedAll([]))->toBe([]);
    });
});

test('pinning a join cuts again and stays', function () {
    $id = $this->postJson('/api/forms', ['text' => Tests\TestCase::LIST])->json('id');
    $ends = fn (array $form) => array_column($form['lessons'], 'to');
    $free = $ends($this->getJson("/api/forms/$id")->json());
    $pin = $free[0] === 5 ? 6 : 5;
    $this->putJson("/api/forms/$id/joins", ['joins' => [['after' => $pin, 'pin' => 'always']]])->assertOk();
    expect($ends($again = $this->getJson("/api/forms/$id")->json()))->toContain($pin)->and($again['joins'][$pin - 1]['pin'])->toBe('always');
    expect($ends($this->putJson("/api/forms/$id/joins", ['joins' => [['after' => $pin, 'pin' => null]]])->json()))->toBe($free);
});

test('the number of lessons can be asked for, and a refusal says the range and changes nothing', function () {
    $id = $this->postJson('/api/forms', ['text' => Tests\TestCase::LIST])->json('id');
    $this->putJson("/api/forms/$id/cutting", ['count' => 4])->assertOk()->assertJsonCount(4, 'lessons');
    $this->putJson("/api/forms/$id/cutting", ['count' => 9])->assertUnprocessable()->tap(fn ($answer) => expect($this->said($answer))->toBe('A form of 8 entries can be cut into 1 to 8 lessons, not 9.'));
    $this->getJson("/api/forms/$id")->assertJsonCount(4, 'lessons');
    $pins = ['joins' => array_map(fn (int $after) => ['after' => $after, 'pin' => 'always'], range(1, 6))];
    $plain = $this->postJson('/api/forms', ['text' => Tests\TestCase::LIST])->json('id');
    $this->putJson("/api/forms/$plain/joins", $pins)->assertOk();
    $this->putJson("/api/forms/$plain/cutting", ['count' => 4])->assertUnprocessable();
    expect(collect($this->getJson("/api/forms/$id")->json('joins'))->pluck('pin')->filter()->all())->toBe([]);
    $this->putJson("/api/forms/$id/joins", ['joins' => [['after' => 8, 'pin' => 'always']]])->assertUnprocessable()->assertJsonPath('place', 'joins.8');
});

test('what cannot be read says where, and nothing is made', function (string $text, string $place, string $says) {
    $answer = $this->postJson('/api/forms', ['text' => $text])->assertUnprocessable();
    expect($this->said($answer))->toContain($says)->and($answer->json('place'))->toBe($place)
        ->and($this->inside($this->user->school, fn () => Form::count()))->toBe(0);
})->with([
    'nothing' => ['', '', 'There is no entry'],
    'blank lines' => ["\n\n", '', 'There is no entry'],
    '5,000 lines' => [str_repeat("Heron\n", 5000), '601', 'Line 601'],
    '2 MB' => [str_repeat("Heron looks up\n", 140_000), '', 'larger than 512 KB'],
    'UTF-16' => ["H\0e\0r\0o\0n\0", 'text', 'NUL character'],
    'broken JSON' => ["{\n\"format\":", '2', 'Line 2'],
    'deep JSON' => ['{"a":'.str_repeat('[', 100).str_repeat(']', 100).'}', '', '32 levels'],
    'wrong type' => ['{"format":"gorvan.form/1","title":"T","entries":[{"id":"a","kind":"movement","title":5}]}', '$.entries[0].title', '$.entries[0].title: must be a text, not 5'],
]);
