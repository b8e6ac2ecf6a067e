<?php

declare(strict_types=1);

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\File\PlainListReader;
use Gorvan\Core\Form\RepetitionKind;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Tests\Said;

function readList(string $text, string $title = ''): Gorvan\Core\Form\File\ReadForm
{
    return (new PlainListReader)->read($text, $title);
}

test('a number is read whichever way it is set off', function (string $line) {
    expect(readList($line)->form->at(1))->number->toBe(12)->title->toBe('Carry water');
})->with(['12. Carry water', '12) Carry water', '12 - Carry water', '12: Carry water', '12.Carry water', '１２．Carry water', '１２、Carry water', '12）Carry water', '• 12. Carry water', '- 12. Carry water']);

test('a line without a number keeps digits that belong to its title', function () {
    expect(readList('7 stars')->form->at(1))->number->toBeNull()->title->toBe('7 stars');
});

test('the bracket says side and repetition in any order', function (string $bracket, ?Side $side, ?RepetitionKind $kind, ?int $times) {
    $entry = readList("1. Heron ($bracket)")->form->at(1);
    expect($entry->title)->toBe('Heron')
        ->and($entry->side)->toBe($side)
        ->and($entry->repetition?->kind)->toBe($kind)
        ->and($entry->repetition?->times)->toBe($times);
})->with([
    ['L', Side::Left, null, null],
    ['R, 3x', Side::Right, RepetitionKind::Fixed, 3],
    ['3x, L', Side::Left, RepetitionKind::Fixed, 3],
    ['L-R-L', Side::Both, RepetitionKind::Alternating, 3],
    ['20 s', null, RepetitionKind::Timed, 1],
    ['3 br', null, RepetitionKind::Breaths, 3],
    ['7x7', null, RepetitionKind::Nested, 49],
    ['x5', null, RepetitionKind::Fixed, 5],
    ['5 times', null, RepetitionKind::Fixed, 5],
    ['alternating, 4x', Side::Both, RepetitionKind::Fixed, 4],
    ['４x、L', Side::Left, RepetitionKind::Fixed, 4],
]);

test('alternating three starting left ends left (common practice)', function () {
    expect(readList('1. Wade (L-R-L)')->form->at(1)->repetition?->endingSide())->toBe(Side::Left);
});

test('a line that is not understood becomes an entry with the whole line as its title, and is listed', function (string $line) {
    $read = readList("1. First\n$line\n3. Third");
    expect($read->form->at(2))->title->toBe($line)->number->toBeNull()
        ->and($read->form->at(3)->number)->toBe(3)
        ->and($read->warnings)->toHaveCount(1)
        ->and(Said::of($read->warnings[0]))->toContain('line 2');
})->with(['2. Heron (old style)', '2. Heron (L, R)', '2.', '2. Heron (R, L-R)', '***']);

test('openings and closings are known in both scripts', function (string $title, EntryKind $kind) {
    expect(readList($title)->form->at(1)->kind)->toBe($kind);
})->with([
    ['起势 Commencing', EntryKind::Opening], ['Commencing (起势)', EntryKind::Opening], ['收势 Closing', EntryKind::Closing], ['Closing / Conclusion', EntryKind::Closing], ['Opening Closing', EntryKind::Movement],
    ['Commencing', EntryKind::Opening], ['1. opening', EntryKind::Opening], ['起势', EntryKind::Opening], ['预备势', EntryKind::Opening],
    ['Closing', EntryKind::Closing], ['收势', EntryKind::Closing], ['Closing the gate', EntryKind::Movement],
]);

test('sections run from their line to the next, and one without entries is left out with a warning', function () {
    $read = readList("Before\nOne:\nA\nB\nEmpty:\nTwo:\nC");
    expect(array_map(fn ($s) => [$s->title, $s->first, $s->last], $read->form->sections))->toBe([['One', 2, 3], ['Two', 4, 4]])
        ->and($read->warnings)->toHaveCount(1)
        ->and(Said::of($read->warnings[0]))->toContain('Empty');
});

test('a section may begin with a figure, an entry may end in a colon', function () {
    $read = readList("2nd part:\nA\n3. Last words:\n4:");
    expect(array_map(fn ($s) => [$s->title, $s->first, $s->last], $read->form->sections))->toBe([['2nd part', 1, 3]])
        ->and($read->form->at(2))->number->toBe(3)->title->toBe('Last words:')
        ->and($read->form->at(3)->title)->toBe('4:')
        ->and($read->warnings)->toHaveCount(1);
});

test('the title comes from the first line, else from the file, else it is untitled', function () {
    expect(readList("# Heron Gate\nA")->form->title)->toBe('Heron Gate')
        ->and(readList('A', 'heron')->form->title)->toBe('heron')
        ->and(readList('A')->form->title)->toBe('Untitled form');
});

test('a return points at the first occurrence, a mirror at the nearest, and a return wins', function () {
    $form = readList("Heron (L)\nHeron (R)\nHeron (L)\nHeron (R)\nWade left\nWade right\nWade left")->form;
    expect($form->at(2))->mirrors->toBe('e01')->returns->toBeNull()
        ->and($form->at(3))->returns->toBe('e01')->mirrors->toBeNull()
        ->and($form->at(4)->returns)->toBe('e02')
        ->and($form->at(6)->mirrors)->toBe('e05')
        ->and($form->at(7)->returns)->toBe('e05');
});

test('a title that once has a side and once has none is supposed to be nothing', function () {
    expect(readList("Heron\nHeron (L)")->inferred)->toBe([]);
});

test('byte-order mark, Windows line ends and blank lines are no obstacle', function () {
    expect(readList("\u{FEFF}# T\r\n\r\n1. A\r\n\f2. B\v(L)\r\n")->form)->count()->toBe(2)->at(2)->title->toBe('B');
});

test('what cannot be a list is refused, and says where', function (string $text, string $place, string $reason) {
    try {
        readList($text);
    } catch (BadInput $e) {
        expect($e->place)->toBe($place)->and(Said::of($e->reason))->toContain($reason);

        return;
    }
    $this->fail('It was accepted.');
})->with([
    'empty' => ['', '', 'no entry'],
    'only a title' => ['# T', '', 'no entry'],
    '5,000 lines' => [str_repeat("Heron\n", 5000), '601', 'at most 600'],
    '2 MB' => [str_repeat('x', 2_000_000), '', 'larger than 512 KB'],
    'not UTF-8' => ["A\n\xff\xfe", '2', 'UTF-8'],
    'a NUL' => ["A\nB\0", '2', 'a NUL character here'],
    'UTF-16' => [mb_convert_encoding("A line\nB", 'UTF-16LE'), '1', 'UTF-16'],
    'UTF-16 with its mark' => ["\xFE\xFF".mb_convert_encoding("\n起势", 'UTF-16BE'), '1', 'UTF-16'],
    'one endless line' => ["A\n".str_repeat('x', 301), '2', '300 characters'],
]);

test('how often is understood without a bracket too, and a figure that belongs to a title stays in it', function (string $line, string $title, ?int $times) {
    expect(readList($line)->form->at(1))->title->toBe($title)->and(readList($line)->form->at(1)->repetition?->times)->toBe($times);
})->with([
    ['3. Cloud hands x3', 'Cloud hands', 3], ['Cloud hands ×3', 'Cloud hands', 3], ['Cloud hands 3x', 'Cloud hands', 3], ['Cloud hands, 3 times', 'Cloud hands', 3],
    ['Heel drops 7x7', 'Heel drops', 49], ['Step to the 7 stars', 'Step to the 7 stars', null], ['The 5 animals 2', 'The 5 animals 2', null],
]);

test('a bullet is no part of a title', function (string $bullet) {
    expect(readList("$bullet Heron (L)")->form->at(1))->title->toBe('Heron')->side->toBe(Side::Left)->and(readList("$bullet Heron (L)")->warnings)->toBe([]);
})->with(['-', '–', '•', '*', '●']);

test('a side that a title says is taken from there, told once, and its mirror is found', function () {
    $read = readList("Right Heel Kick\nLeft heel kick\nBrush the knee, on the left\nBrush the knee (R)\nRight Heel Kick\nTurn left and kick right\nBright water");
    expect(array_map(fn ($entry) => $entry->side?->value, $read->form->entries))->toBe(['right', 'left', 'left', 'right', 'right', null, null])
        ->and(array_map(fn ($entry) => [$entry->returns, $entry->mirrors], $read->form->entries))->toBe([[null, null], [null, 'e01'], [null, null], [null, 'e03'], ['e01', null], [null, null], [null, null]])
        ->and(array_map(Said::of(...), $read->warnings))->toBe(['4 entries say their side in their titles alone: it was taken from there.']);
});
