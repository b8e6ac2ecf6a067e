<?php

declare(strict_types=1);

use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Tests\Said;

/** What a refusal says, place and reason, or 'accepted'. */
function refusal(callable $read): string
{
    try {
        $read();
    } catch (BadInput $e) {
        return ltrim("$e->place: ".Said::of($e->reason), ': ');
    }

    return 'accepted';
}

test('the line on which a text stops being JSON is found', function (string $text, int $line) {
    expect(refusal(fn () => JsonNode::parse($text)))->toStartWith("$line: is not JSON");
})->with([
    'comma missing between members' => ["{\n\"a\": 1\n\"b\": 2\n}", 3],
    'comma missing between items' => ["[\n1\n2]", 3],
    'comma at the end of an object' => ["{\n\"a\": 1,\n}", 3],
    'comma at the end of a list' => ["[1,\n]", 2],
    'colon missing' => ["{\n\"a\" 1}", 2],
    'key without quotes' => ["{\na: 1}", 2],
    'key that is a number' => ["{\n1: 1}", 2],
    'single quotes' => ["{\n'a': 1}", 2],
    'wrong bracket' => ["{\"a\":\n[1}\n}", 2],
    'two values' => ["{}\n{}", 2],
    'a comment' => ["{\n\n// no\n}", 3],
    'a number with a leading zero' => ["[\n01]", 2],
    'a line break in a text' => ["[\n\"a\nb\"]", 2],
    'not a value' => ["[\nTrue]", 2],
    'cut off in an object' => ["{\"a\":\n\n", 3],
    'cut off in a text' => ["[\n\"abc", 2],
]);

test('what is JSON is read, with or without a byte-order mark', function (string $text, mixed $value) {
    expect(JsonNode::parse($text)->value)->toEqual($value);
})->with([
    ["\u{FEFF}[1]", [1]],
    ['{"a": {"b": []}}', (object) ['a' => (object) ['b' => []]]],
    [" \n null ", null],
    ['"\u00e9\\\\\""', 'é\\"'],
    ['-1.5e3', -1500.0],
]);

test('a value of another type than asked for is refused with its path', function (callable $ask, string $says) {
    $root = JsonNode::parse('{"text": "a", "blank": " ", "number": 1.5, "list": [true, {"odd key": null}], "yes": true, "big": 1e300}');
    expect(refusal(fn () => $ask($root)))->toBe($says);
})->with([
    [fn ($root) => $root->required('none'), '$: "none" is missing'],
    [fn ($root) => $root->required('text')->whole(0, 9), '$.text: must be a whole number, not "a"'],
    [fn ($root) => $root->required('number')->whole(0, 9), '$.number: must be a whole number, not 1.5'],
    [fn ($root) => $root->required('big')->whole(0, 9), '$.big: must be a whole number, not 1.0E+300'],
    [fn ($root) => $root->required('number')->number(2, 3), '$.number: must be between 2 and 3, not 1.5'],
    [fn ($root) => $root->required('blank')->text(), '$.blank: must not be blank'],
    [fn ($root) => $root->required('yes')->text(), '$.yes: must be a text, not true'],
    [fn ($root) => $root->required('list')->object(), '$.list: must be an object, not a list'],
    [fn ($root) => $root->required('text')->items(), '$.text: must be a list, not "a"'],
    [fn ($root) => $root->required('list')->items()[0]->items(), '$.list[0]: must be a list, not true'],
    [fn ($root) => $root->required('list')->items()[1]->required('odd key'), '$.list[1]: "odd key" is missing'],
    [fn ($root) => $root->required('text')->bool(), '$.text: must be true or false, not "a"'],
    [fn ($root) => $root->required('text')->oneOf(Side::class), '$.text: must be one of left, right, both, centre, not "a"'],
    [fn ($root) => $root->required('text')->text(0), '$.text: is longer than 0 characters'],
    [fn ($root) => $root->required('list')->items()[1]->object()->{'odd key'}, 'accepted'],
]);

test('a list of texts is read as each of them alone would be', function () {
    $node = fn (mixed $list) => JsonNode::parse((string) json_encode(['ids' => $list]))->required('ids');
    $long = str_repeat('é', 9);
    expect($node(['a', ' b ', $long, '0'])->texts(9, 9))->toBe(['a', ' b ', $long, '0'])->and($node([])->texts(9))->toBe([]);
    foreach ([['a', 5], ['a', ' '], ['a', "b\0"], ['a', 'longer than nine'], ['a', "$long."], ['a', null]] as $list) {
        $said = refusal(fn () => $node($list)->texts(9, 9));
        expect($said)->toBe(refusal(fn () => $node($list)->items()[1]->text(9)))->toContain('$.ids[1]');
    }
    expect(refusal(fn () => $node(['a', 'b'])->texts(1)))->toBe(refusal(fn () => $node(['a', 'b'])->itemsAtMost(1)))
        ->and(refusal(fn () => $node('a')->texts(9)))->toBe(refusal(fn () => $node('a')->items()));
});

test('keys that are no names are told in brackets', function () {
    $node = JsonNode::parse('{"odd key": 5}')->required('odd key');
    expect($node->path)->toBe('$[\'odd key\']');
});

test('what a format does not know is handed on', function () {
    expect(JsonNode::parse('{"a": 1, "b": {"c": 2}, "7": 3}')->others(['a']))->toEqual(['b' => (object) ['c' => 2], '7' => 3]);
});

test('instants, days and zones are read strictly', function (callable $read, string $says) {
    expect(refusal($read))->toContain($says);
})->with([
    [fn () => Instant::read(JsonNode::of('2026-01-06T19:00:00+01:00')), 'accepted'],
    [fn () => Instant::read(JsonNode::of('2026-01-06T19:00Z')), 'accepted'],
    [fn () => Instant::read(JsonNode::of('2026-01-06T19:00:00.123456Z')), 'accepted'],
    [fn () => Instant::read(JsonNode::of('2026-01-06T19:00:00')), 'has no offset'],
    [fn () => Instant::read(JsonNode::of('2026-01-06 19:00:00Z')), 'is not an instant'],
    [fn () => Instant::read(JsonNode::of('2026-02-29T19:00:00Z')), 'is not an instant'],
    [fn () => Instant::read(JsonNode::of('2026-01-06T24:00:00Z')), 'is not an instant'],
    [fn () => Instant::read(JsonNode::of('tomorrow')), 'is not an instant'],
    [fn () => Instant::read(JsonNode::of(1767722400)), 'must be a text'],
    [fn () => Instant::day(JsonNode::of('2028-02-29')), 'accepted'],
    [fn () => Instant::day(JsonNode::of('2026-02-29')), 'is not a day'],
    [fn () => Instant::day(JsonNode::of("2026-02-01\n")), 'is not a day'],
    [fn () => Instant::zone(JsonNode::of('Europe/Lisbon')), 'accepted'],
    [fn () => Instant::zone(JsonNode::of('UTC')), 'accepted'],
    [fn () => Instant::zone(JsonNode::of('+01:00')), 'no time zone'],
    [fn () => Instant::zone(JsonNode::of('Atlantis')), 'no time zone'],
]);
