<?php

declare(strict_types=1);

use Gorvan\Core\Form\Change\FormDifference;
use Gorvan\Core\Form\Change\FormMatcher;
use Gorvan\Core\Form\Change\Losses;
use Gorvan\Core\Form\File\CsvFormReader;
use Gorvan\Core\Form\File\CsvFormWriter;
use Gorvan\Core\Form\File\Export;
use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Form\File\PlainListReader;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Tests\Said;
use Gorvan\Core\Tests\Sample;

function csv(string $rows, string $title = 'T'): Gorvan\Core\Form\File\ReadForm
{
    return (new CsvFormReader)->read($rows, $title);
}

/** @return list<string> */
function problemsOf(callable $read): array
{
    try {
        $read();
    } catch (BadInput $e) {
        return array_map(fn (BadInput $one) => ltrim("$one->place: ".Said::of($one->reason), ': '), $e->problems === [] ? [$e] : $e->problems);
    }

    return [];
}

test('the form file carries everything an entry can say, byte for byte', function () {
    $once = (new FormFileWriter)->write(Sample::whole());
    $read = (new FormFileReader)->read($once);
    expect((new FormFileWriter)->write($read->form))->toBe($once)
        ->and(array_filter($read->warnings, fn ($warning) => str_starts_with($warning->code, 'reading.kept')))->toBe([]);
});

test('every problem of a form file is told at once, with its line', function () {
    $json = "{\n\"format\": \"gorvan.form/1\", \"title\": \"T\", \"entries\": [\n{\"id\": \"a\", \"kind\": \"movement\", \"title\": \"A]\", \"turn\": \"x\"},\n{\"id\": \"b\", \"kind\": \"dance\", \"title\": \"B\"},\n\n{\"id\": \"c\", \"kind\": \"movement\", \"title\": \"C\"}]}";
    try {
        (new FormFileReader)->read($json);
    } catch (BadInput $e) {
        expect(array_map(fn ($one) => [$one->fileLine, $one->place], $e->problems))->toBe([[3, '$.entries[0].turn'], [4, '$.entries[1].kind']]);

        return;
    }
    $this->fail('It was accepted.');
});

test('ids that stand there twice are told with their lines', function () {
    $json = "{\"format\": \"gorvan.form/1\", \"title\": \"T\", \"entries\": [\n{\"id\": \"a\", \"kind\": \"movement\", \"title\": \"A\"},\n{\"id\": \"a\", \"kind\": \"movement\", \"title\": \"B\"}]}";
    try {
        (new FormFileReader)->read($json);
    } catch (BadInput $e) {
        expect([$e->fileLine, $e->place])->toBe([3, '$.entries[1].id'])->and(Said::of($e->reason))->toContain('also the id of entry 1');

        return;
    }
    $this->fail('It was accepted.');
});

test('CSV comes back as it went, for all it can carry', function () {
    $text = (new CsvFormWriter)->write(Sample::whole());
    $read = csv($text, 'T');
    expect((new CsvFormWriter)->write($read->form))->toBe($text)
        ->and($read->form->at(2)->stance)->toBe('empty, "light"')
        ->and($read->form->at(3)->cues)->toBe(['=turn {R}', '-3'])
        ->and($read->form->at(2)->travel)->toBe([1.0, -0.5])
        ->and($read->form->sections)->toEqual(Sample::whole()->sections);
});

test('what a format cannot carry is said beforehand, and nothing else is lost', function () {
    $form = Sample::whole();
    expect(Losses::of($form, Export::Json))->toBe([]);
    $csv = Said::all(Losses::of($form, Export::Csv));
    foreach (['phases', 'variants', 'cautions', 'errors', 'states', 'differs', 'numbers', 'same in', 'strains'] as $field) {
        expect($csv)->toContain("$field of 1 entry");
    }
    foreach (['schemes', 'announced', 'accepted', 'breath seconds', 'family'] as $field) {
        expect($csv)->toContain("$field of the form");
    }
    expect($csv)->not->toContain('cues')->not->toContain('turn')->not->toContain('sections');
    $list = Said::all(Losses::of($form, Export::PlainList));
    expect($list)->toContain('cues of 2 entries')->toContain('turn of 2 entries')->not->toMatch('/^(side|number|title) of/m');
    // A form that says no more than a list loses nothing but its ids.
    $plain = (new PlainListReader)->read("# T\nOne:\n1. Reed bends (L, 3x)\n2. Reed bends (R)\nTwo:\n3. Heron (L-R-L)\nClosing")->form;
    expect(Losses::of($plain, Export::PlainList))->toHaveCount(1);
});

test('a formula in a cell gets an apostrophe, a number none, and reading takes it off', function (string $cue, string $written) {
    $text = (new CsvFormWriter)->write(Sample::form([['stance' => $cue]]));
    expect($text)->toContain($written)->and(csv($text)->form->at(1)->stance)->toBe($cue);
})->with([
    ['=1+1', ",'=1+1,"], ['@home', ",'@home,"], ['+3 steps', "'+3 steps"], ['-3', ',-3,'], ["'=x", ",''=x,"], ['-3.5e2', ',-3.5e2,'], ['plain', ',plain,'],
]);

test('files from spreadsheets are read: byte-order mark, semicolons, tabs, decimal commas, several lines in a cell', function (string $text) {
    $form = csv($text)->form;
    expect([$form->at(1)->title, $form->at(1)->turn, $form->at(1)->cues, $form->at(2)->side?->value])->toBe(['Reed bends', -22.5, ['one', 'two'], 'left']);
})->with([
    'semicolons' => ["\u{FEFF}Title;Turn;Cues;Side\r\nReed bends;-22,5;\"one\r\ntwo\";\r\nHeron;;;L\r\n"],
    'tabs' => ["title\tturn\tcues\tside\nReed bends\t-22.5\t\"one\ntwo\"\t\nHeron\t\t\tleft"],
    'commas' => ["title,turn,cues,side\n\nReed bends,\"-22,5\",\"one\ntwo\",\nHeron,,,l\n"],
]);

test('a CSV that says no relations is read as a list is: relations are supposed', function () {
    expect(csv("title,side\nHeron,left\nReed,\nHeron,right")->inferred[0]->position)->toBe(3)
        ->and(csv("id,title,mirrors\na,Heron,\nb,Heron,")->inferred)->toBe([]);
});

test('every row that is not understood is told, with its line', function () {
    expect(problemsOf(fn () => csv("id,title,turn,side\na,A,x,\n\na,B,,up\nc,\"C\nc\",,\nd,,,\ne,E,,,,\n")))->toBe([
        '2: column "turn": "x" is not a number', '4: column "id": "a" is also the id on line 2',
        '7: column "title": must not be blank', '8: this row has 6 cells and the header 4; is a quote missing?',
    ]);
});

test('hostile files are refused, and say what to do', function (string $text, string $says) {
    expect(implode("\n", problemsOf(fn () => csv($text))))->toContain($says);
})->with([
    'broken quoting' => ["title,turn\n\"A,1\nB,2\n", '2: the quotes of this row do not close'],
    'a quote inside a bare cell' => ["title,turn\nA \"b\",1\n", '2: the quotes'],
    'mixed encodings' => ["title,turn\nA,1\n\xE9t\xE9,2\n", '3: this line is not UTF-8'],
    'UTF-16' => [mb_convert_encoding("title,turn\nA,1", 'UTF-16LE'), 'UTF-16'],
    'no title' => ["name of it,turn\nA,1\n", 'no column "title"'],
    'UTF-16, the first cells blank' => [mb_convert_encoding(",,,\ntitle,turn", 'UTF-16BE'), '1: this is saved as UTF-16'],
    'a NUL' => ["title,turn\nA,1\nB\0,2\n", '3: there is a NUL character here'],
    'a travel that may be one number or two' => ["title;travel\nA;1,5\n", '2: column "travel": "1,5" can be one number with a decimal comma, or two: write 1.5, or 1; 5'],
    'a column twice' => ["title,title\nA,B\n", 'stands there 2 times'],
    'ten thousand rows' => ["title,turn\n".str_repeat("A,1\n", 10_000), '602: a form has at most 600 entries, this one has 10000'],
    'a header alone' => ["title,turn\n", 'no row below the header'],
    'an unknown kind' => ["title,kind\nA,dance\n", '2: column "kind"'],
]);

test('import again keeps the identity of what stayed, and says what is added, moved, changed and gone', function () {
    $old = (new PlainListReader)->read("1. Reed\n2. Heron (L)\n3. Heron (R)\n4. Lamp\n5. Gate")->form;
    $new = (new PlainListReader)->read("1. Gate\n2. Reed\n3. Heron (L)\n4. Kingfisher\n5. Heron (R, 3x)\n6. Lamp lit");
    $matched = (new FormMatcher)->matched($old, $new);
    $difference = FormDifference::between($old, $matched);
    expect($difference->moved)->toBe(['e05'])
        ->and(array_map(fn ($id) => $matched->at($matched->positionOf($id))->title, $difference->added))->toBe(['Kingfisher'])
        ->and($matched->at($matched->positionOf('e04'))->title)->toBe('Lamp lit')
        ->and($difference->gone)->toBe([])
        ->and(array_keys($difference->changed))->toBe(['e05', 'e01', 'e02', 'e03', 'e04'])
        ->and($matched->at($matched->positionOf('e03'))->mirrors)->toBe('e02');
});

test('a list imported over a whole score leaves what it cannot speak of as it was', function () {
    $old = Sample::whole();
    $matched = (new FormMatcher)->matched($old, (new PlainListReader)->read("Opening (centre)\n7. B (L, 6)\nClosing"));
    expect(Sample::ids($matched))->toBe(['a', 'b', 'e'])
        ->and($matched->at(2)->number)->toBe(7)
        ->and($matched->at(2)->phases)->toEqual($old->at(2)->phases)
        ->and($matched->at(2)->turn)->toBe(-90.0)
        ->and($matched->breathSeconds)->toBe(5.0);
});

test('nothing moved when nothing moved, and as few as can be', function () {
    $of = fn (string ...$ids) => Sample::form(array_map(fn ($id) => ['id' => $id, 'title' => $id], $ids));
    expect(FormDifference::between($of('a', 'b', 'c'), $of('a', 'b', 'c'))->isNone())->toBeTrue()
        ->and(FormDifference::between($of('a', 'b', 'c', 'd'), $of('d', 'a', 'b', 'c'))->moved)->toBe(['d'])
        ->and(FormDifference::between($of('a', 'b', 'c'), $of('b', 'x', 'c'))->isStructural())->toBeTrue()
        ->and(FormDifference::between($of('a', 'b', 'c'), $of('b', 'x', 'c'))->gone)->toBe(['a']);
});

test('what a spreadsheet makes of a file is still CSV', function (string $text, array $titles) {
    expect(CsvFormReader::recognises($text))->toBeTrue()
        ->and(array_map(fn ($entry) => [$entry->title, $entry->turn], csv($text)->form->entries))->toBe($titles);
})->with([
    'one column' => ["title\nReed\nHeron\n", [['Reed', null], ['Heron', null]]],
    'a line that says the separator' => ["sep=;\ntitle;turn\nReed, bent;90\n", [['Reed, bent', 90.0]]],
    'that line in quotes, with a mark before it' => ["\u{FEFF}\"sep=;\"\r\ntitle;turn\r\nReed;90\r\n", [['Reed', 90.0]]],
    'no-break spaces in the header' => ["\u{A0}title\u{A0},turn\u{202F}\nReed,90\n", [['Reed', 90.0]]],
    'travel in two numbers' => ["title;turn;travel\nReed;90;\"1; 0,5\"\n", [['Reed', 90.0]]],
]);

test('a header of several columns that forgets the title is a fault, and a list of titles is none', function () {
    expect(CsvFormReader::recognises("number,side,turn\n1,left,90"))->toBeTrue()
        ->and(problemsOf(fn () => csv("number,side,turn\n1,left,90")))->toBe(['1: the header names no column "title"; name the columns in the first row'])
        ->and(CsvFormReader::recognises("Bend, turn, rise\nHeron, left"))->toBeFalse();
});

test('a row without an id gets one that no row has, and is nobody who was there', function () {
    $read = csv("id,title\ne01,Reed\n,Kneel\ne02,Heron\n,Wade\ne04,Lamp\n");
    expect(Sample::ids($read->form))->toBe(['e01', 'e03', 'e02', 'e05', 'e04']);
    // In the form there e03 and e05 were other movements: they went, and what is new takes over nothing of theirs.
    $old = Sample::form(array_map(fn ($at) => ['id' => "e0$at", 'title' => ['Reed', 'Heron', 'Gate', 'Lamp', 'Bridge'][$at - 1]], [1, 2, 3, 4, 5]));
    $matched = (new FormMatcher)->matched($old, $read);
    expect(FormDifference::between($old, $matched))->gone->toBe(['e03', 'e05'])->added->toHaveCount(2)->changed->toBe([])
        ->and(array_unique(Sample::ids($matched)))->toHaveCount(5);
});

test('a relation to an entry that is not there is said, with its line', function () {
    expect(array_map(Said::of(...), csv("id,title,returns,mirrors\na,Reed,,\nb,Heron,x,\nc,Heron,,y\n")->warnings))
        ->toBe(['line 3: returns to "x", which is no entry of this file', 'line 4: mirrors "y", which is no entry of this file']);
});

test('keys that read as numbers are kept, wherever they stand', function () {
    $said = '{"x":{"1":{"2":3}}}';
    $json = '{"format":"gorvan.form/1","title":"T","2026":"spring","entries":[{"id":"a","kind":"movement","title":"A","7":["seven"],"booklet":{"number":"1","12":true},"phases":[{"breath":"in","0":'.$said.'}]}],"sections":[{"title":"S","first":1,"last":1,"5":5}],"0":'.$said.'}';
    $read = (new FormFileReader)->read($json);
    $again = json_decode((new FormFileWriter)->write($read->form), true);
    expect($again)->toEqualCanonicalizing(json_decode($json, true))
        ->and($again['2026'])->toBe('spring')->and($again['entries'][0]['7'])->toBe(['seven'])->and($again['entries'][0]['booklet']['12'])->toBeTrue()
        ->and($again['entries'][0]['phases'][0]['0'])->toBe(json_decode($said, true))->and($again['sections'][0]['5'])->toBe(5);
    // and when something else is changed
    $edited = Sample::edited($read->form, [['op' => 'set', 'id' => 'a', 'fields' => ['turn' => 90]], ['op' => 'form', 'fields' => ['family' => 'F']]]);
    $again = json_decode((new FormFileWriter)->write($edited), true);
    expect([$again['2026'], $again['0'], $again['entries'][0]['7'], $again['entries'][0]['turn'], $again['family']])->toBe(['spring', json_decode($said, true), ['seven'], 90, 'F'])
        ->and(FormDifference::between($read->form, $edited)->form)->toHaveCount(1);
});

test('minus nothing is nothing', function () {
    $form = (new FormFileReader)->read('{"format":"gorvan.form/1","title":"T","entries":[{"id":"a","kind":"movement","title":"A","turn":-0.0,"travel":[-0.0,0],"weight_end":-0}]}')->form;
    expect((new FormFileWriter)->write($form))->not->toContain('-0')->and(csv("title,turn,travel\nA,-0,\"-0.0; -0\"\n")->form->at(1)->travel)->toBe([0.0, 0.0]);
});

test('what could be read can be written and read again, however it was set out', function () {
    // Numbers in a list of their own grow most when they are set out in lines.
    $file = fn (int $many, int $flags) => json_encode(['format' => 'gorvan.form/1', 'title' => 'T', 'entries' => [['id' => 'a', 'kind' => 'movement', 'title' => 'A']], 'kept' => array_fill(0, $many, 1)], $flags);
    [$few, $many] = [intdiv(FormFileReader::MAX_BYTES, 2) - 60, intdiv(FormFileReader::MAX_BYTES, 2)];
    $written = (new FormFileWriter)->write((new FormFileReader)->read($file($few, 0))->form);
    expect((new FormFileWriter)->write((new FormFileReader)->read($written)->form))->toBe($written)
        ->and(problemsOf(fn () => (new FormFileReader)->read($file($many, 0))))->toBe(['this is larger than 2048 KB; send one form at a time']);
    // The same text counts the same in lines: what is too large is so both ways, and what is not is not.
    $half = $file(200_000, 0);
    expect(strlen($file(200_000, JSON_PRETTY_PRINT)))->toBeGreaterThan(FormFileReader::MAX_BYTES)
        ->and((new FormFileReader)->read($file(200_000, JSON_PRETTY_PRINT))->form)->toEqual((new FormFileReader)->read($half)->form);
});

test('neighbouring sections of one name and gaps between sections are told as lost', function (array $sections, Export $as) {
    $form = Sample::form([[], [], [], []])->with(['sections' => array_map(fn ($one) => new Gorvan\Core\Form\Section(...$one), $sections)]);
    expect(Said::all(Losses::of($form, $as)))->toContain('sections of the form');
})->with([
    'one name twice, CSV' => [[['A', 1, 2], ['A', 3, 4]], Export::Csv],
    'a gap, list' => [[['A', 1, 1], ['B', 3, 4]], Export::PlainList],
    'a gap at the end, list' => [[['A', 1, 2]], Export::PlainList],
]);

test('like ids that every list gets are doubted where most titles differ, and not trusted until somebody says so', function () {
    $old = (new PlainListReader)->read("Reed\nHeron\nLamp\nGate")->form;
    $other = (new FormFileReader)->read((new FormFileWriter)->write((new PlainListReader)->read("Stone\nHeron\nRain\nSnow\nWind")->form));
    $renamed = (new FormFileReader)->read((new FormFileWriter)->write((new PlainListReader)->read("Reed\nHeron\nLamp lit\nGate")->form));
    $own = (new FormFileReader)->read(str_replace('"e0', '"own', (new FormFileWriter)->write((new PlainListReader)->read("Stone\nSnow\nRain")->form)));
    $ownOld = (new FormFileReader)->read(str_replace('"e0', '"own', (new FormFileWriter)->write($old)))->form;
    expect(FormMatcher::isDoubtful($old, $other))->toBeTrue()
        ->and(FormMatcher::isDoubtful($old, $renamed))->toBeFalse()
        ->and(FormMatcher::isDoubtful($ownOld, $own))->toBeFalse() // ids somebody gave are what they say
        ->and(FormMatcher::isDoubtful($old, (new PlainListReader)->read("Stone\nRain")))->toBeFalse();
    $matcher = new FormMatcher;
    expect(array_slice(Sample::ids($matcher->matched($old, $other)), 0, 4))->toBe(['e01', 'e02', 'e03', 'e04']);
    $byTitle = $matcher->matched($old, $other, trustsIds: false);
    expect(Sample::ids($byTitle)[1])->toBe('e02')->and(array_intersect(Sample::ids($byTitle), ['e03', 'e04']))->toBe([]);
});
