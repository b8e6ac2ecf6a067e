<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\KinshipReader;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Tests\Said;

/** Titles with a side after a bar: "Heron|L". @return list<string> what is supposed, as sentences without their prefix */
function supposed(string ...$titles): array
{
    $entries = [];
    foreach (array_values($titles) as $at => $stated) {
        [$title, $side] = [...explode('|', $stated), ''];
        $entries[] = new Entry("e$at", EntryKind::Movement, $title, side: ['L' => Side::Left, 'R' => Side::Right, 'B' => Side::Both][$side] ?? null);
    }

    return array_map(
        fn ($kin) => str_replace('inferred: entry ', '', Said::of($kin->said())),
        (new KinshipReader)->suppose($entries),
    );
}

test('a sequence is supposed as a teacher would say it', function (array $titles, array $kin) {
    expect(supposed(...$titles))->toBe($kin);
})->with([
    'nothing alike' => [['Heron', 'Otter'], []],
    'the same again' => [['Heron', 'Heron'], ['2 returns to entry 1']],
    'the third of left-right-left returns to the first' => [
        ['Heron|L', 'Heron|R', 'Heron|L'],
        ['2 mirrors entry 1', '3 returns to entry 1'],
    ],
    'a return points at the first, not the nearest' => [
        ['Heron|L', 'Heron|L', 'Heron|L'],
        ['2 returns to entry 1', '3 returns to entry 1'],
    ],
    'a mirror points at the nearest' => [
        ['Heron|L', 'Otter', 'Heron|L', 'Heron|R'],
        ['3 returns to entry 1', '4 mirrors entry 3'],
    ],
    'left and right in the title' => [
        ['Wave left hand', 'Wave right hand'],
        ['2 mirrors entry 1'],
    ],
    'left and right in the title and as sides' => [
        ['Wave left hand|L', 'Wave right hand|R'],
        ['2 mirrors entry 1'],
    ],
    'in Chinese' => [['左分鬃', '右分鬃', '左分鬃'], ['2 mirrors entry 1', '3 returns to entry 1']],
    'case and spaces do not count' => [['Heron  looks up|L', 'HERON looks up|R'], ['2 mirrors entry 1']],
    'words that only contain left or right' => [['Bright water', 'Bleft water'], []],
    'a title that stood before wins over a mirror of another' => [['Step left, press right|L', 'Step right, press left', 'Step right, press left|R'], ['3 returns to entry 2']],
    'sides that only titles say' => [['Left Brush Knee', 'Brush Knee|R', 'Brush Knee, on the left'], ['2 mirrors entry 1', '3 returns to entry 1']],
    'a side once said and once not' => [['Heron', 'Heron|L'], []],
    'both sides return to both sides' => [['Heron|B', 'Heron|B'], ['2 returns to entry 1']],
]);
