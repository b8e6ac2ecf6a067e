<?php

declare(strict_types=1);

use Gorvan\Core\Reading\JsonLines;

test('the line of every item of a list is found, whatever stands in it', function (string $json, array $lines) {
    json_decode($json, false, 64, JSON_THROW_ON_ERROR);
    expect(JsonLines::ofItems($json, 'entries'))->toBe($lines);
})->with([
    'one a line' => ["{\"entries\": [\n{\"id\": 1},\n{\"id\": 2}\n]}", [2, 3]],
    'all in one' => ['{"a": 1, "entries": [{"id": 1}, {"id": 2}], "b": 2}', [1, 1]],
    'spread out' => ["{\n\"entries\":\n[\n{\n\"id\": [1, 2]\n},\n\n{\"x\": {\"y\": []}}\n]\n}", [4, 8]],
    'brackets and commas in texts' => ["{\"entries\": [\n{\"t\": \"a], {\\\"b\\\": [\"},\n{\"t\": \"\\\\\"},\n{}]}", [2, 3, 4]],
    'the word elsewhere' => ["{\"x\": {\"entries\": [1,\n2]}, \"y\": \"entries\",\n\"entries\": [\n{}]}", [4]],
    'numbers and texts' => ["{\"entries\": [1,\n\"two\",\nnull]}", [1, 2, 3]],
    'an empty list' => ['{"entries": []}', []],
    'none at all' => ['{"other": [1]}', []],
    'more lists after it' => ["{\"entries\": [\n{}\n], \"others\": [\n1,\n2]}", [2]],
]);
