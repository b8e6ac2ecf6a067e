<?php

declare(strict_types=1);

/*
 * What has to hold for any form and any change, on forms and changes made up at random; the seed is fixed.
 */

use Gorvan\Core\Form\Audit\FormAudit;
use Gorvan\Core\Form\Change\FormDifference;
use Gorvan\Core\Form\Change\FormMatcher;
use Gorvan\Core\Form\Edit\FormReversal;
use Gorvan\Core\Form\File\CsvFormReader;
use Gorvan\Core\Form\File\CsvFormWriter;
use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Form\File\PlainListReader;
use Gorvan\Core\Form\File\PlainListWriter;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Tests\Said;
use Gorvan\Core\Tests\Sample;

/** @template T @param  list<T>  $all @return T */
function one(array $all): mixed
{
    return $all[mt_rand(0, count($all) - 1)];
}

/** @return array<string, mixed> */
function anyEntry(string $id): array
{
    $maybe = static fn (mixed $value): mixed => mt_rand(0, 2) === 0 ? null : $value;

    return array_filter([
        'id' => $id,
        'kind' => one(['movement', 'movement', 'movement', 'connector', 'extra']),
        'title' => one(['Heron', 'Reed, bending', '"Gate"', '=Lamp', '云手', "O'Tide (old)", 'Wade: deep']),
        'number' => $maybe(mt_rand(0, 40)),
        'side' => $maybe(one(['left', 'right', 'both', 'centre'])),
        'repetition' => $maybe(one(['3', '7x7', '20 s', '8+2', 'about 6 a side', 'until told', '6, the 4th ends differently'])),
        'breaths' => $maybe(mt_rand(0, 8) / 2),
        'first_step' => $maybe(one(['left', 'right', 'none'])),
        'weight_end' => $maybe(one([0, 10, 50, 90.5, [40, 60]])),
        'turn' => $maybe(mt_rand(-8, 8) * 22.5),
        'travel' => $maybe([mt_rand(-3, 3), mt_rand(-4, 4) / 2]),
        'stance' => $maybe(one(['empty', "two\nlines", '-3', '@home', 'a;b', "'=x"])),
        'cues' => $maybe(['to the {L}', one(['+1', 'plain', '"said"'])]),
        'phases' => $maybe([['breath' => one(['in', 'out', 'pause'])], ['cue' => 'sink']]),
        'cautions' => $maybe([['for' => 'knee', 'do' => 'smaller']]),
    ], static fn (mixed $value): bool => $value !== null);
}

function anyForm(int $entries): Form
{
    $sections = [];
    for ($first = mt_rand(1, 3); $first <= $entries; $first = $last + mt_rand(1, 3)) {
        $last = min($entries, $first + mt_rand(0, 4));
        $sections[] = ['title' => 'S'.count($sections), 'first' => $first, 'last' => $last];
    }

    return Sample::form(array_map(static fn (int $at): array => anyEntry("e$at"), range(1, $entries)), ['sections' => $sections, 'announced' => mt_rand(1, 40)]);
}

/** @return array<string, mixed> a change that can be made of the form */
function anyEdit(Form $form, int $n): array
{
    $ids = Sample::ids($form);
    $id = one($ids);

    return match (mt_rand(0, 8)) {
        0 => ['op' => 'insert', 'after' => one([null, ...$ids]), 'entries' => [anyEntry("x$n")]],
        1 => count($ids) < 3 ? ['op' => 'renumber', 'from' => 1] : ['op' => 'remove', 'ids' => [$id]],
        2 => ['op' => 'move', 'id' => $id, 'after' => one([null, ...$ids])],
        3 => ['op' => 'split', 'id' => $id, 'as' => "x$n"],
        4 => $id === $ids[count($ids) - 1] ? ['op' => 'form', 'fields' => ['announced' => $n]] : ['op' => 'merge', 'id' => $id],
        5 => ['op' => 'mirror', 'id' => $id, 'as' => "x$n"],
        6 => ['op' => 'section', 'id' => $id, 'title' => one(['New', null])],
        7 => ['op' => 'set', 'id' => $id, 'cells' => ['turn' => (string) (15 * mt_rand(-6, 6)), 'side' => one(['L', 'R', ''])]],
        default => ['op' => 'set', 'id' => $id, 'fields' => ['cues' => ["cue $n"], 'demand' => one([null, 2])]],
    };
}

function isSame(Form $one, Form $other): bool
{
    return (new FormFileWriter)->write($one) === (new FormFileWriter)->write($other);
}

beforeEach(fn () => mt_srand(72));

test('any form comes back from its file byte for byte, and from CSV for all it can carry', function () {
    for ($run = 0; $run < 60; $run++) {
        $form = anyForm(mt_rand(1, 20));
        $json = (new FormFileWriter)->write($form);
        expect((new FormFileWriter)->write((new FormFileReader)->read($json)->form))->toBe($json);
        $csv = (new CsvFormWriter)->write($form);
        expect((new CsvFormWriter)->write((new CsvFormReader)->read($csv, 'T')->form))->toBe($csv);
    }
});

test('any list is written again as it was read', function () {
    for ($run = 0; $run < 40; $run++) {
        $lines = ['# T'];
        for ($at = 1; $at <= 12; $at++) {
            $lines[] = trim((mt_rand(0, 3) === 0 ? '' : "$at. ").one(['Heron', 'Reed bends', 'Wade on']).' '.one(['', '(L)', '(R, 3x)', '(both)', '(20 s)', '(L-R-L)', '(about 6)']));
            if (mt_rand(0, 4) === 0) {
                $lines[] = "Part $at:";
            }
        }
        $text = implode("\n", [...$lines, 'Closing'])."\n";
        // A section with nothing in it is left out and said.
        $read = (new PlainListReader)->read($text);
        $again = (new PlainListWriter)->write($read->form);
        expect((new PlainListWriter)->write((new PlainListReader)->read($again)->form))->toBe($again);
        if ($read->warnings === []) {
            expect($again)->toBe($text);
        }
    }
});

test('after any changes a form is still one: sections apart and inside, ids once, and it can be read, audited and taken back', function () {
    for ($run = 0; $run < 40; $run++) {
        $form = anyForm(mt_rand(3, 12));
        for ($n = 1; $n <= 15; $n++) {
            $before = $form;
            $form = Sample::edited($form, [anyEdit($form, $n)]);
            $last = 0;
            foreach ($form->sections as $section) {
                expect($section->first)->toBeGreaterThan($last)->and($section->last)->toBeGreaterThanOrEqual($section->first)->toBeLessThanOrEqual($form->count());
                $last = $section->last;
            }
            expect(array_unique(Sample::ids($form)))->toHaveCount($form->count())
                ->and(isSame((new FormFileReader)->read((new FormFileWriter)->write($form))->form, $form))->toBeTrue()
                ->and(FormReversal::clashes($before, $form, $form))->toBe([])
                ->and(isSame(FormReversal::of($before, $form, $form), $before))->toBeTrue();
        }
        expect(FormAudit::of($form)->totals->entries)->toBe($form->count());
    }
});

test('a difference names every entry that is another one, and none that is not', function () {
    for ($run = 0; $run < 60; $run++) {
        $before = anyForm(mt_rand(3, 10));
        $after = $before;
        for ($n = 1; $n <= 4; $n++) {
            $after = Sample::edited($after, [anyEdit($after, $n)]);
        }
        $difference = FormDifference::between($before, $after);
        $stayed = array_values(array_intersect(Sample::ids($after), Sample::ids($before)));
        expect($difference->added)->toBe(array_values(array_diff(Sample::ids($after), Sample::ids($before))))
            ->and($difference->gone)->toBe(array_values(array_diff(Sample::ids($before), Sample::ids($after))))
            ->and($difference->isNone())->toBe(isSame($before, $after));
        // Without those that moved, the rest stands in the order it had.
        $still = array_values(array_diff($stayed, $difference->moved));
        expect($still)->toBe(array_values(array_filter(Sample::ids($before), fn ($id) => in_array($id, $still, true))));
    }
});

test('a form read over itself changes nothing, in any format', function () {
    for ($run = 0; $run < 30; $run++) {
        $form = anyForm(mt_rand(2, 12));
        foreach ([(new FormFileReader)->read((new FormFileWriter)->write($form)), (new CsvFormReader)->read((new CsvFormWriter)->write($form), $form->title)] as $read) {
            expect(FormDifference::between($form, (new FormMatcher)->matched($form, $read))->isNone())->toBeTrue();
        }
    }
});

test('every mend that is offered can be made, and takes its finding away', function () {
    for ($run = 0; $run < 40; $run++) {
        $form = anyForm(mt_rand(3, 12));
        foreach (FormAudit::of($form)->open as $finding) {
            if ($finding->mend !== null) {
                $left = array_map(fn ($one) => "$one->position ".Said::of($one->says), FormAudit::of(Sample::edited($form, $finding->mend->edits))->open);
                expect($left)->not->toContain("$finding->position ".Said::of($finding->says));
            }
        }
    }
});
