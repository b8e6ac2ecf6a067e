<?php

declare(strict_types=1);

use Gorvan\Core\Principle\Edit\SetEdit;
use Gorvan\Core\Principle\Edit\SetEditReader;
use Gorvan\Core\Principle\Principle;
use Gorvan\Core\Principle\PrincipleCsv;
use Gorvan\Core\Principle\PrincipleFile;
use Gorvan\Core\Principle\PrincipleSet;
use Gorvan\Core\Principle\SetDifference;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Prerequisites;
use Gorvan\Core\Tests\Said;

/** @param  array<string, list<string>>  $after  by id */
function keepings(array $after, array $families = []): PrincipleSet
{
    return PrincipleSet::of('Set', null, $families, array_map(fn (string $id) => new Principle($id, strtoupper($id), after: $after[$id]), array_map(strval(...), array_keys($after))));
}

function revised(PrincipleSet $set, array ...$edits): PrincipleSet
{
    return array_reduce(SetEditReader::read(JsonNode::parse(json_encode($edits))), fn (PrincipleSet $so_far, SetEdit $edit) => $edit->on($so_far), $set);
}

test('a set says which of its principles come after each other in a circle, from the earliest round', function () {
    expect(Said::refused(fn () => keepings(['a' => [], 'b' => ['d'], 'c' => ['b'], 'd' => ['c'], 'e' => ['d']])))
        ->toBe('$.principles[1].after: these come after each other in a circle: B, D, C and B; take one of them out of what comes before the next')
        ->and(Said::refused(fn () => keepings(['a' => ['a']])))->toBe('$.principles[0].after: "A" comes after itself; take it out of what comes before it')
        ->and(Said::refused(fn () => keepings(['a' => ['b'], 'b' => ['x']])))->toBe('$.principles[1].after[0]: there is no principle "x" in this set');
});

test('principles are ordered so that nothing comes before what it comes after, else as the set has them', function () {
    expect(Prerequisites::order(keepings(['a' => ['d'], 'b' => [], 'c' => ['a'], 'd' => ['b'], 'e' => []])->after()))->toBe(['b', 'd', 'a', 'c', 'e']);
});

test('an id stands once, a family is one of the families, and a set is never empty', function () {
    expect(Said::refused(fn () => PrincipleFile::read('{"format":"gorvan.principles/1","title":"T","principles":[{"id":"a","title":"A"},{"id":"a","title":"B"}]}')))->toContain('$.principles[1].id')
        ->and(Said::refused(fn () => PrincipleFile::read('{"format":"gorvan.principles/1","title":"T","families":["X"],"principles":[{"id":"a","title":"A","family":"Y"}]}')))->toBe('$.principles[0].family: must be one of X, not "Y"')
        ->and(Said::refused(fn () => PrincipleFile::read('{"format":"gorvan.principles/1","title":"T","principles":[{"id":"a","title":"A","family":"Y"}]}')))->toContain('is no family of this set')
        ->and(Said::refused(fn () => PrincipleFile::read('{"format":"gorvan.principles/1","title":"T","principles":[]}')))->toBe('$.principles: a set needs at least one principle')
        ->and(Said::refused(fn () => PrincipleFile::read('{"format":"gorvan.principles/1","title":"T","principles":[{"id":"a","title":"A"}],"bites":[{"principle":"b","entry":"e","strength":2}]}')))->toContain('$.bites[0].principle')
        ->and(Said::refused(fn () => PrincipleFile::read('{"format":"gorvan.principles/1","title":"T","principles":[{"id":"a","title":"A"}],"bites":[{"principle":"a","entry":"e","strength":4}]}')))->toContain('$.bites[0].strength');
});

test('every set that ships is read without a warning, and comes back as it went, as JSON and as CSV', function (string $file) {
    $text = (string) file_get_contents($file);
    $read = PrincipleFile::read($text);
    expect($read->warnings)->toBe([])
        ->and(PrincipleFile::read(PrincipleFile::written($read->set, $read->bites))->set)->toEqual($read->set)
        ->and(json_decode(PrincipleFile::written($read->set, $read->bites)))->toEqual(json_decode($text))
        ->and(PrincipleCsv::read(PrincipleCsv::written($read->set), $read->set->title)->principles)->toEqual($read->set->principles);
})->with(fn () => glob(dirname(__DIR__, 3).'/database/principles/*.json'));

test('a cell that begins like a formula, holds quotes, commas or a line break comes back from CSV', function () {
    $set = keepings(['a' => []])->withPrinciples([new Principle('a', '=SUM(A1), "so"', says: "one\ntwo", look: ['-level'])]);
    expect(PrincipleCsv::read(PrincipleCsv::written($set), 'Set')->principles)->toEqual($set->principles);
});

test('a CSV file that cannot be is refused at its line', function (string $csv, string $says) {
    expect(Said::refused(fn () => PrincipleCsv::read($csv, 'T')))->toContain($says);
})->with([
    ["title,mood\nA,calm\n", '1: "mood" is no column of a set of principles'],
    ["name\nA\n", 'names no column "title"'],
    ["title\n", 'there is no row below the header'],
    ["id,title,errors\na,A,leans\n", '2: "leans" is not two texts parted by "=>"'],
    ["id,title,after\na,A,b\nb,B,a\n", '2: these come after each other in a circle'],
    ["id,title\na,A\na,B\n", '3: '],
    ["id,title\na,\n", '2: must not be blank'],
]);

test('edits put, order, remove and rename, and each is refused where it would leave the set unsound', function () {
    $set = PrincipleSet::of('Set', null, ['X', 'Y'], [new Principle('a', 'A', 'X'), new Principle('b', 'B', 'Y', after: ['a']), new Principle('c', 'C', after: ['b'])]);
    expect(revised($set, ['what' => 'put', 'principle' => ['id' => 'b', 'title' => 'Bee', 'after' => []]], ['what' => 'put', 'principle' => ['id' => 'd', 'title' => 'D']])->ids())->toBe(['a', 'b', 'c', 'd'])
        ->and(revised($set, ['what' => 'remove', 'id' => 'b'])->principle('c')?->after)->toBe([])
        ->and(revised($set, ['what' => 'order', 'ids' => ['c', 'a']])->ids())->toBe(['c', 'a', 'b'])
        ->and(revised($set, ['what' => 'head', 'title' => 'New', 'families' => ['Body', 'Y'], 'renamed' => ['X' => 'Body']])->principle('a')?->family)->toBe('Body')
        ->and(Said::refused(fn () => revised($set, ['what' => 'head', 'title' => 'New', 'families' => ['Y']])))->toBe('families: "A" is of the family "X"; give it another family first')
        ->and(Said::refused(fn () => revised($set, ['what' => 'remove', 'id' => 'x'])))->toContain('no principle "x"')
        ->and(Said::refused(fn () => revised($set, ['what' => 'put', 'principle' => ['id' => 'a', 'title' => 'A', 'after' => ['c']]])))->toContain('in a circle: A, C, B and A')
        ->and(Said::refused(fn () => revised(keepings(['a' => []]), ['what' => 'remove', 'id' => 'a'])))->toContain('at least one principle');
});

test('what is different between two states names what was touched, and whether a plan may change', function () {
    $set = keepings(['a' => [], 'b' => ['a'], 'c' => []]);
    $difference = fn (array ...$edits) => SetDifference::between($set, revised($set, ...$edits));
    $worded = $difference(['what' => 'put', 'principle' => ['id' => 'b', 'title' => 'Bee', 'after' => ['a']]]);
    $moved = $difference(['what' => 'order', 'ids' => ['b', 'a', 'c']]);
    $less = $difference(['what' => 'remove', 'id' => 'a']);
    expect([$worded->touched(), $worded->changesPlan(), Said::all($worded->said())])->toBe([['b'], false, 'Changed: Bee.'])
        ->and([$moved->touched(), $moved->changesPlan()])->toBe([['set'], true])
        ->and([$less->touched(), $less->changesPlan(), Said::all($less->said())])->toBe([['a', 'b'], true, "Taken out: A.\nChanged: B."])
        ->and($difference()->isNone())->toBeTrue();
});
