<?php

declare(strict_types=1);

/*
 * CSV against papaparse, and the floor track against transformation-matrix: both independent libraries from npm.
 */

use Gorvan\Core\Form\File\CsvFormReader;
use Gorvan\Core\Form\File\CsvFormWriter;
use Gorvan\Core\Form\File\EntryCells;
use Gorvan\Core\Form\Track\FloorTrack;
use Gorvan\Core\Lesson\Content\LessonsFile;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Tests\Sample;
use Tests\Outside\Reference;

/** Texts that are awkward in a cell. @return list<string> */
function awkward(): array
{
    return ['plain', 'a, comma', 'a "quote"', '"', '""', "two\nlines", "a line\r\nof a spreadsheet", ' spaces round ', 'semi;colon', "tab\there", '云手', "=1+1\n+2", 'ends with "', ','];
}

test('what is written as CSV is read by papaparse as the same cells, row for row (source: papaparse)', function () {
    $forms = array_map(static fn (string $text) => Sample::form([['stance' => $text, 'title' => "T $text"], ['cues' => array_values(array_filter(array_map(trim(...), explode("\n", $text))))]]), awkward());
    $texts = array_map((new CsvFormWriter)->write(...), [Sample::whole(), ...$forms]);
    $read = Reference::ask('csv.mjs', ['texts' => $texts, 'rows' => []])['read'];
    foreach ([Sample::whole(), ...$forms] as $n => $form) {
        expect($read[$n][0])->toBe(CsvFormWriter::header())->and(count($read[$n]))->toBe($form->count() + 1);
        foreach ($form->entries as $at => $entry) {
            $cells = array_combine(array_slice(CsvFormWriter::header(), 2), array_slice($read[$n][$at + 1], 2));
            $own = (new EntryCells)->of($entry);
            foreach (EntryCells::columns() as $column) {
                $this->assertSame($own[$column], preg_replace("/^'(?='*[=+\-@])/", '', $cells[$column]), "$n $at $column");
            }
        }
    }
});

test('a list of lessons is read by papaparse as it was meant, whatever a teacher typed (source: papaparse)', function () {
    $form = Sample::form(array_map(static fn (string $text): array => ['title' => trim("T $text")], awkward()));
    $lessons = array_map(static fn (int $at, string $text): WrittenLesson => new WrittenLesson("l$at", [$form->at($at + 1)->id], title: "T$text", note: "=$text", checks: [$text, 'level']), array_keys(awkward()), awkward());
    $rows = Reference::ask('csv.mjs', ['texts' => [LessonsFile::csv($form, $lessons)], 'rows' => []])['read'][0];
    expect(count($rows))->toBe(count($lessons) + 1)->and($rows[0][0])->toBe('lesson');
    foreach (awkward() as $at => $text) {
        $row = array_combine($rows[0], $rows[$at + 1]);
        expect($row['lesson'])->toBe((string) ($at + 1))->and($row['title'])->toBe("T$text")->and($row['note'])->toBe("'=$text")->and($row['checks'])->toEndWith("$text | level");
    }
});

test('what papaparse writes is read as the same cells: quotes, several lines, byte-order marks, semicolons, tabs (source: papaparse)', function (array $options, string $mark) {
    $cells = [['id', 'title', 'stance', 'turn']];
    foreach (awkward() as $n => $text) {
        $cells[] = ["e$n", "Title $n", $text, $n % 2 === 0 ? (string) -$n : ''];
    }
    $text = $mark.Reference::ask('csv.mjs', ['texts' => [], 'rows' => [['cells' => $cells] + $options]])['written'][0];
    $form = (new CsvFormReader)->read($text, 'T')->form;
    foreach (awkward() as $n => $stance) {
        $entry = $form->at($n + 1);
        // A field of one line is told without the spaces round it, and a line break is a line break whichever it was.
        expect(str_replace("\r\n", "\n", (string) $entry->stance))->toBe(trim(str_replace("\r\n", "\n", $stance)))
            ->and($entry->turn)->toBe($n % 2 === 0 ? (float) -$n : null);
    }
})->with([
    'commas' => [[], ''],
    'a byte-order mark' => [[], "\u{FEFF}"],
    'semicolons' => [['delimiter' => ';'], "\u{FEFF}"],
    'tabs' => [['delimiter' => "\t"], ''],
    'everything quoted' => [['quotes' => true], ''],
    'lines ended by LF' => [['newline' => "\n"], ''],
]);

test('random turns and steps lead to the same places as affine transformations do, to 1e-9 (source: transformation-matrix)', function () {
    mt_srand(13);
    $walks = [];
    for ($walk = 0; $walk < 60; $walk++) {
        $entries = [];
        for ($at = 0; $at < 5 + $walk; $at++) {
            $entries[] = ['turn' => $walk % 3 === 0 ? 90 * mt_rand(-4, 4) : mt_rand(-36000, 36000) / 100, 'travel' => [mt_rand(-400, 400) / 100, mt_rand(-400, 400) / 100]];
        }
        $walks[] = $entries;
    }
    foreach (Reference::ask('floor.mjs', $walks) as $walk => $places) {
        $ids = array_map(static fn (int $at, array $entry): array => ['id' => "e$at", 'title' => "E$at"] + $entry, array_keys($walks[$walk]), $walks[$walk]);
        $track = FloorTrack::of(Sample::form($ids));
        foreach ($places as $at => [$x, $y]) {
            $footing = $track->footings[$at + 1];
            expect(abs($footing->x - $x))->toBeLessThan(1e-9)->and(abs($footing->y - $y))->toBeLessThan(1e-9);
        }
    }
});
