<?php

declare(strict_types=1);

use Gorvan\Core\Principle\Bite;
use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\Edit\BiteEdit;
use Gorvan\Core\Principle\PrincipleFile;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Tests\Said;
use Gorvan\Core\Tests\Sample;

/** @return array<string, int> strength by principle and entry */
function strengths(Bites $bites): array
{
    $strengths = [];
    foreach ($bites->all as $bite) {
        $strengths["$bite->principle-$bite->entry"] = $bite->strength;
    }

    return $strengths;
}

test('a sweep sets what was not joined, changes what was, and takes out; a note stays unless it is said', function () {
    $swept = (new Bites)->swept('p', ['a', 'b'], 2, 'hips')->swept('p', ['b', 'c'], 3)->swept('q', ['b'], 1);
    expect(strengths($swept))->toBe(['p-a' => 2, 'p-b' => 3, 'p-c' => 3, 'q-b' => 1])
        ->and($swept->at('p', 'b')?->note)->toBe('hips')->and($swept->at('p', 'c')?->note)->toBeNull()
        ->and($swept->swept('p', ['b'], 3, '')->at('p', 'b')?->note)->toBeNull()
        ->and(strengths($swept->swept('p', ['a', 'b', 'c', 'z'], null)))->toBe(['q-b' => 1]);
});

test('posture states join a principle to the entries that hold them, as strong as there are states, three at most', function () {
    $form = Sample::form([
        ['states' => [['part' => 'hips', 'state' => 'open']]],
        ['states' => [['part' => 'hips', 'state' => 'open'], ['part' => 'chest', 'state' => 'open']]],
        ['states' => [['part' => 'hips', 'state' => 'closed']]],
        ['states' => array_map(fn (string $part) => ['part' => $part, 'state' => 'x', 'principle' => 'p'], ['1', '2', '3', '4'])],
    ]);
    $set = PrincipleFile::read('{"format":"gorvan.principles/1","title":"T","principles":[{"id":"p","title":"P","states":[{"part":"hips","state":"open"},{"part":"chest","state":"open"}]},{"id":"q","title":"Q"}]}')->set;
    expect(strengths((new Bites)->fromStates($set, $form)))->toBe(['p-a' => 1, 'p-b' => 2, 'p-d' => 3])
        ->and(strengths((new Bites([new Bite('p', 'b', 3)]))->fromStates($set, $form)))->toBe(['p-b' => 3, 'p-a' => 1, 'p-d' => 3]);
});

test('what an entry shows is copied to those that return to it or mirror it, a note turned about, and nothing is overwritten', function () {
    $form = Sample::form([['title' => 'Turn left'], ['title' => 'Turn right', 'mirrors' => 'a'], ['returns' => 'b'], ['returns' => 'a'], []]);
    $copied = (new Bites([new Bite('p', 'a', 2, 'the {L} hip, not the right knee'), new Bite('p', 'd', 1)]))->copied($form);
    expect(strengths($copied))->toBe(['p-a' => 2, 'p-d' => 1, 'p-b' => 2, 'p-c' => 2])
        ->and($copied->at('p', 'b')?->note)->toBe('the {R} hip, not the left knee')
        ->and($copied->at('p', 'c')?->note)->toBe('the {R} hip, not the left knee')
        ->and($copied->copied($form))->toEqual($copied);
});

test('an edit names what it cannot find, and bites on entries that went are told and kept', function () {
    $form = Sample::form([[], []]);
    $set = PrincipleFile::read('{"format":"gorvan.principles/1","title":"T","principles":[{"id":"p","title":"P"}]}')->set;
    $edit = fn (array $edit) => BiteEdit::read(JsonNode::parse(json_encode($edit)))->on(new Bites, $set, $form);
    expect(strengths($edit(['what' => 'sweep', 'principle' => 'p', 'entries' => ['a', 'b'], 'strength' => 1])))->toBe(['p-a' => 1, 'p-b' => 1])
        ->and(Said::refused(fn () => $edit(['what' => 'sweep', 'principle' => 'x', 'entries' => ['a'], 'strength' => 1])))->toContain('no principle "x"')
        ->and(Said::refused(fn () => $edit(['what' => 'sweep', 'principle' => 'p', 'entries' => ['z'], 'strength' => 1])))->toContain('not in the form any more')
        ->and(Said::refused(fn () => $edit(['what' => 'paint'])))->toContain('must be one of sweep, states, copy, put');
    $file = '{"format":"gorvan.principles/1","title":"T","principles":[{"id":"p","title":"P"}],"bites":[{"principle":"p","entry":"a","strength":1},{"principle":"p","entry":"gone","strength":2}]}';
    $read = PrincipleFile::read($file, $form);
    expect(Said::all($read->warnings))->toBe('One entry that principles are joined to is not in the form any more: gone. It is kept in the file, and not used.')
        ->and(count($read->bites->all))->toBe(2)->and(strengths($read->bites->within($set, $form)))->toBe(['p-a' => 1]);
});
