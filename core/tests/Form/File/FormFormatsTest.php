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
