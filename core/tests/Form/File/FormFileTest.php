<?php

declare(strict_types=1);

use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Tests\Said;

function formFile(array $entry = [], array $root = []): string
{
    return json_encode([
        'format' => 'gorvan.form/1', 'title' => 'T',
        'entries' => [['id' => 'a', 'kind' => 'movement', 'title' => 'A', ...$entry], ['id' => 'b', 'kind' => 'movement', 'title' => 'B']],
        ...$root,
    ], JSON_THROW_ON_ERROR);
}

test('reading, writing and reading again is byte for byte the same, unknown keys and all', function () {
    $full = formFile([
        'number' => 7, 'booklet' => ['number' => '7a', 'page' => 12, 'ink' => 1], 'aliases' => [['text' => '转身', 'lang' => 'zh-Hans', 'tone' => [4, 1]]], 'side' => 'left',
        'repetition' => '3', 'breaths' => 2.5, 'first_step' => 'left', 'steps' => 1, 'footfall' => 'toe', 'weight_end' => [40, 60], 'turn' => -90,
        'travel' => [1, 0], 'stance' => 'empty', 'one_leg' => false, 'demand' => 2, 'rest' => 0.4, 'cut' => 'always', 'future' => ['x' => new stdClass],
    ], ['family' => 'F', 'announced' => 72, 'breath_seconds' => 6.5, 'footfall' => 'heel', 'sections' => [['title' => 'S', 'first' => 1, 'last' => 2, 'mood' => 'calm']], 'scheme' => []]);
    $once = (new FormFileWriter)->write((new FormFileReader)->read($full)->form);
    $twice = (new FormFileWriter)->write((new FormFileReader)->read($once)->form);
    expect($twice)->toBe($once)
        ->and(json_decode($once))->toEqual(json_decode($full))
        ->and($once)->toContain('"x": {}');
});

test('unknown keys are named in the warnings', function () {
    $read = (new FormFileReader)->read(formFile(
        ['mood' => 1, 'booklet' => ['page' => 3, 'ink' => 1], 'aliases' => [['text' => 'Z', 'tone' => 4]]],
        ['colour' => 2, 'sections' => [['title' => 'S', 'first' => 1, 'last' => 2, 'hall' => 3]]],
    ));
    foreach (['$: "colour"', '$.sections[0]: "hall"', '$.entries[0]: "mood"', '$.entries[0].booklet: "ink"', '$.entries[0].aliases[0]: "tone"'] as $said) {
        expect(Said::all($read->warnings))->toContain($said);
    }
});

test('2 and 2.0 mean the same', function () {
    $of = fn (string $n) => (new FormFileReader)->read(str_replace('"N"', $n, formFile(['steps' => 'N'])))->form->at(1)->steps;
    expect($of('2'))->toBe(2)->and($of('2.0'))->toBe(2);
});

test('a reference to no earlier entry makes nothing easier and is said', function () {
    expect(Said::of((new FormFileReader)->read(formFile(['returns' => 'b']))->warnings[0]))->toContain('$.entries[0].returns');
});

test('hostile and broken files are refused at their place', function (string $json, string $place, string $reason) {
    try {
        (new FormFileReader)->read($json);
    } catch (BadInput $e) {
        expect($e->place)->toBe($place)->and(Said::of($e->reason))->toContain($reason);

        return;
    }
    $this->fail('It was accepted.');
})->with([
    'not JSON' => ["{\n\"format\": \"x\",\n\"title\" \"T\"}", '3', 'not JSON'],
    'cut off' => ["{\n\"a\": [1,\n2", '3', 'not JSON'],
    'deep' => [str_repeat('[', 60).str_repeat(']', 60), '', 'levels deep'],
    'empty' => ['', '', 'empty'],
    'not UTF-8' => ["{\n\"a\": \"\xff\"}", '2', 'UTF-8'],
    'another format' => [formFile([], ['format' => 'other/1']), '$.format', 'gorvan.form/1'],
    'a list' => ['[]', '$', 'an object'],
    'no entries' => [formFile([], ['entries' => []]), '$.entries', 'at least one'],
    'entries of text' => [formFile([], ['entries' => ['a']]), '$.entries[0]', 'an object'],
    'too many' => [formFile([], ['entries' => array_fill(0, 601, ['id' => 'x'])]), '$.entries', 'at most 600'],
    'no title' => [formFile(['title' => null]), '$.entries[0]', '"title" is missing'],
    'blank title' => [formFile(['title' => ' ']), '$.entries[0].title', 'blank'],
    'NUL in a title' => [formFile(['title' => "A\0B"]), '$.entries[0].title', 'NUL'],
    'NUL in a key' => [formFile(["\0k" => 1]), '', 'NUL'],
    'same id' => [formFile(['id' => 'b']), '$.entries[1].id', 'also the id'],
    'wrong kind' => [formFile(['kind' => 'dance']), '$.entries[0].kind', 'movement, connector'],
    'text as turn' => [formFile(['turn' => '90']), '$.entries[0].turn', 'a number'],
    'half a step' => [formFile(['steps' => 1.5]), '$.entries[0].steps', 'whole number'],
    'too heavy' => [formFile(['weight_end' => 101]), '$.entries[0].weight_end', 'between 0 and 100'],
    'weight backwards' => [formFile(['weight_end' => [60, 40]]), '$.entries[0].weight_end', 'smaller'],
    'three numbers' => [formFile(['travel' => [1, 2, 3]]), '$.entries[0].travel', 'two numbers'],
    'demand' => [formFile(['demand' => 0.1]), '$.entries[0].demand', 'between 0.25 and 5'],
    'both pins' => [formFile(['cut' => 'always never']), '$.entries[0].cut', 'always, never'],
    'section outside' => [formFile([], ['sections' => [['title' => 'S', 'first' => 1, 'last' => 3]]]), '$.sections[0]', 'outside'],
    'sections overlap' => [formFile([], ['sections' => [['title' => 'S', 'first' => 1, 'last' => 2], ['title' => 'U', 'first' => 2, 'last' => 2]]]), '$.sections[1]', 'overlaps'],
]);
