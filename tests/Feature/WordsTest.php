<?php

declare(strict_types=1);

use App\Words;
use Gorvan\Core\Reading\Message;

/** @return list<string> every code that stands in the code as it is, with the place it stands at */
function codesIn(string $folder): array
{
    $codes = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base_path($folder), FilesystemIterator::SKIP_DOTS)) as $file) {
        preg_match_all('/Message::of\(\s*(?:[^\'",()]*\? )?[\'"]([a-z_.]+[a-z])[\'"](?: : [\'"]([a-z_.]+)[\'"])?/', (string) file_get_contents((string) $file), $found);
        array_push($codes, ...$found[1], ...array_filter($found[2]));
    }

    return array_values(array_unique($codes));
}

test('every code that core or the application says has words', function () {
    $codes = [...codesIn('core/src'), ...codesIn('app'), ...codesIn('database')];
    expect(count($codes))->toBeGreaterThan(100)
        ->and(array_values(array_filter($codes, fn (string $code) => ! Words::has($code))))->toBe([]);
});

test('no English is built in core: what people read leaves it as a code', function () {
    $sentences = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base_path('core/src'), FilesystemIterator::SKIP_DOTS)) as $file) {
        $code = php_strip_whitespace((string) $file);
        $code = (string) preg_replace('/new .?(?:LogicException|OutOfBoundsException)\\([^;]*;/', '', $code); // for whoever mends the bug
        preg_match_all('/([\'"])(?:(?!\1)[^\\\\\n]|\\\\.)*\1/', $code, $texts);
        foreach ($texts[0] as $text) {
            if (preg_match('/[a-z]{2,} [a-z]{2,} [a-z]{2,}/', $text) === 1 && ! str_contains($text, '(?')) {
                $sentences[] = basename((string) $file).": $text";
            }
        }
    }
    expect($sentences)->toBe([]);
});

test('words are put together from numbers, texts, lists and other messages', function (Message $message, string $words) {
    expect(Words::of($message))->toBe($words);
})->with([
    [Message::of('version.made', count: 1), 'Made, 1 entry.'],
    [Message::of('version.made', count: 3), 'Made, 3 entries.'],
    [Message::of('moved.lesson', number: 3, was: [5, 6, 7, 9], is: [5]), 'lesson 3 was entries 5 to 7, 9 and is 5'],
    [Message::of('form.learnt_by', groups: ['A', 'B', 'C']), 'This form is learnt by A, B and C, so it stays.'],
    [Message::of('form.learnt_by', groups: ['A']), 'This form is learnt by A, so it stays.'],
    [Message::of('cue.own', side: Message::of('side.left'), own: Message::of('side.right')), 'left (your right)'],
]);

test('a message that lacks a value of its sentence is a bug', function () {
    Words::of(Message::of('cut.target'));
})->throws(LogicException::class);
