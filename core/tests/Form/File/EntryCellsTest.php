<?php

declare(strict_types=1);

use Gorvan\Core\Form\File\EntryCells;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Tests\Said;
use Gorvan\Core\Tests\Sample;

/** What a field is after a cell was written into an empty entry, as the form file has it. */
function written(string $column, string $text): mixed
{
    $entry = (new EntryCells)->written(Sample::form([[]])->at(1), [$column => $text]);

    return json_decode((string) json_encode((new FormFileWriter)->entry($entry)), true)[str_starts_with($column, 'booklet') ? 'booklet' : $column] ?? null;
}

test('a cell is read as a teacher writes it', function (string $column, string $text, mixed $value) {
    expect(written($column, $text))->toEqual($value);
})->with([
    ['side', 'L', 'left'], ['side', ' r ', 'right'], ['side', 'b', 'both'], ['side', 'Center', 'centre'], ['side', 'Both', 'both'],
    ['first_step', 'n', 'none'], ['first_step', 'left', 'left'], ['start_side', 'R', 'right'], ['footfall', 'h', 'heel'], ['footfall', 'Toe', 'toe'],
    ['kind', 'm', 'movement'], ['kind', 'c', 'connector'], ['kind', 'o', 'opening'], ['kind', 'X', 'extra'],
    ['turn', '-90', -90], ['turn', '−90°', -90], ['turn', '22,5', 22.5], ['turn', '+45', 45], ['turn', '1e2', 100.0],
    ['breaths', '2.5', 2.5], ['steps', '3', 3], ['number', '12', 12], ['booklet_page', '7', ['page' => 7]], ['booklet_number', '7a', ['number' => '7a']],
    ['weight_end', '80', 80], ['weight_end', '40-60', [40, 60]], ['weight_end', '40 to 60', [40, 60]], ['weight_end', '40; 60', [40, 60]], ['weight_end', '2,5 – 10', [2.5, 10]],
    ['travel', '2', [2, 0]], ['travel', '1; -0,5', [1, -0.5]], ['travel', '1, 2', [1, 2]], ['travel', '1 2', [1, 2]], ['travel', '[1, 0]', [1, 0]], ['travel', '1/2', [1, 2]],
    ['one_leg', 'x', true], ['one_leg', 'Yes', true], ['one_leg', 'no', false], ['one_sided', '1', true], ['repetition_inferred', 'false', false],
    ['cues', "one\n\n two \r\nthree", ['one', 'two', 'three']], ['aliases', "云手 [zh-Hans]\nClouds [of] mist", [['text' => '云手', 'lang' => 'zh-Hans'], ['text' => 'Clouds [of] mist']]],
    ['repetition', 'about 6 a side', 'about 6 a side'], ['stance', '12', '12'], ['cut', 'Never', 'never'], ['rest', '0,5', 0.5],
    ['turn', '', null], ['side', '  ', null], ['booklet_page', '', null],
]);

test('what a cell cannot be says so at its column', function (string $column, string $text, string $says) {
    try {
        written($column, $text);
    } catch (BadInput $e) {
        expect($e->place)->toBe($column)->and(Said::of($e->reason))->toContain($says);

        return;
    }
    $this->fail('It was accepted.');
})->with([
    ['turn', 'half', 'is not a number'], ['turn', '1.2.3', 'is not a number'], ['turn', '99999', '3600'], ['steps', '2.5', 'whole'], ['weight_end', '101', '100'],
    ['weight_end', '60-40', 'smaller to the larger'], ['travel', '1; 2; 3', 'steps forward'], ['travel', 'far', 'is not a number'], ['side', 'up', 'must be one of'],
    ['one_leg', 'perhaps', 'neither yes nor no'], ['booklet_page', 'x', 'is not a number'], ['demand', '9', '5'], ['rest', '2', '1'],
    ['title', '', 'is missing'], ['stance', str_repeat('x', 301), '300'], ['colour', 'red', 'no column'],
]);

test('the cells of an entry are read back as that entry, as far as cells go', function () {
    $cells = new EntryCells;
    foreach (Sample::whole()->entries as $entry) {
        expect($cells->of($cells->written($entry, $cells->of($entry))))->toBe($cells->of($entry))
            ->and((new FormFileWriter)->entry($cells->written($entry, $cells->of($entry))))->toEqual((new FormFileWriter)->entry($entry));
    }
});

test('an empty booklet goes, and one with something of its own stays', function () {
    $entry = (new EntryCells)->written(Sample::whole()->at(2), ['booklet_number' => '', 'booklet_page' => '']);
    expect($entry->booklet)->toBeNull();
    $kept = Sample::form([['booklet' => ['page' => 3, 'ink' => 'red']]])->at(1);
    expect((new EntryCells)->written($kept, ['booklet_page' => ''])->booklet?->others)->toBe(['ink' => 'red']);
});
