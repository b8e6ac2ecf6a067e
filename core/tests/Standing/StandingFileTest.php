<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\Readiness;
use Gorvan\Core\Standing\StandingFile;

function herons(): Form
{
    return new Form('T', [new Entry('a', EntryKind::Movement, 'A', side: Side::Both), new Entry('b', EntryKind::Movement, 'B'), new Entry('c', EntryKind::Movement, 'C')]);
}

function groupFile(array $change = []): string
{
    return json_encode([...['timezone' => 'UTC', 'group' => ['s', 'new'], 'taught' => [['on' => '2026-01-06', 'from' => 1, 'to' => 2], ['on' => '2026-01-20', 'from' => 3, 'to' => 3]], 'recap' => [1, 2], 'students' => ['s' => [
        ['id' => '1', 'entry' => 'a', 'at' => '2026-01-06T19:00:00Z', 'kind' => 'mark', 'support' => 'Flowing', 'side' => 'left'],
        ['id' => '2', 'entry' => 'a', 'at' => '2026-01-06T20:00:00Z', 'kind' => 'taught'],
        ['id' => '3', 'entry' => 'b', 'at' => '2026-01-06T20:00:00Z', 'kind' => 'taught'],
        ['id' => '4', 'entry' => 'b', 'at' => '2026-01-08T20:00:00Z', 'kind' => 'home'],
    ]]], ...$change], JSON_THROW_ON_ERROR);
}

test('a group’s record is read against its form into standings on a day', function () {
    $file = StandingFile::read(groupFile(), herons());
    $day = Day::number('2026-01-13');
    $standings = $file->on($day);
    expect(array_keys($standings))->toBe(['s', 'new'])
        ->and($file->taughtBy($day))->toBe([1, 2])
        ->and($standings['s']->at(1)->left?->holds())->toBeTrue()
        ->and($standings['s']->at(1)->whole->holds())->toBeFalse()
        ->and($standings['s']->readiness($file->recap))->toBe(Readiness::Look)
        ->and($standings['new']->readiness($file->recap))->toBe(Readiness::NotYet)
        ->and($standings['new']->missed($file->taughtBy($day)))->toBe([1, 2]);
});

test('what does not fit the form is refused at its place', function (array $change, string $place) {
    expect(fn () => StandingFile::read(groupFile($change), herons()))->toThrow(BadInput::class, $place);
})->with([
    'a side where there is none' => [['students' => ['s' => [['id' => '1', 'entry' => 'b', 'at' => '2026-01-06T19:00:00Z', 'kind' => 'mark', 'support' => 'Cued', 'side' => 'left']]]], '$.students.s[0].side'],
    'taught past the end' => [['taught' => [['on' => '2026-01-06', 'from' => 1, 'to' => 4]]], '$.taught[0].to'],
    'a recap backwards' => [['recap' => [3, 1]], '$.recap[1]'],
    'a recap of one' => [['recap' => [3]], '$.recap'],
]);
