<?php

declare(strict_types=1);

use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Lesson\SideStretches;

/**
 * A form by what each entry mirrors: null for one that mirrors nothing, a position, or 'c' for a connector.
 *
 * @param  list<int|string|null>  $mirrors
 */
function sided(array $mirrors): Form
{
    return new Form('T', array_map(fn (int $at, int|string|null $of) => new Entry('e'.($at + 1), $of === 'c' ? EntryKind::Connector : EntryKind::Movement, 'E'.($at + 1), mirrors: is_int($of) ? "e$of" : null), array_keys($mirrors), $mirrors));
}

/** @return list<string> */
function stretches(Form $form, ?Passage $within = null): array
{
    return array_map(fn (array $pair) => "{$pair[0]->from}-{$pair[0]->to} ~ {$pair[1]->from}-{$pair[1]->to}", SideStretches::of($form, $within));
}

test('a stretch comes back on the other side where each movement mirrors its counterpart, in order', function (array $mirrors, array $found) {
    expect(stretches(sided($mirrors)))->toBe($found);
})->with([
    'two and two' => [[null, null, 1, 2], ['1-2 ~ 3-4']],
    'three and three, with others around' => [[null, null, null, null, 2, 3, 4, null], ['2-4 ~ 5-7']],
    'one alone is no stretch' => [[null, 1, null, 3], []],
    'not in order' => [[null, null, 2, 1], []],
    'a gap on the way parts it' => [[null, null, null, 1, 3], []],
    'two stretches' => [[null, null, 1, 2, null, null, 5, 6], ['1-2 ~ 3-4', '5-6 ~ 7-8']],
    'far apart' => [[null, null, null, null, 1, 2], ['1-2 ~ 5-6']],
    'links between and inside count for nothing' => [[null, 'c', null, 'c', 1, 'c', 3], ['1-3 ~ 5-7']],
    'left, right, left, right: each mirrors the one before' => [[null, 1, 2, 3], []],
    'nothing is mirrored' => [[null, null, null], []],
]);

test('only what lies within the passage', function () {
    $form = sided([null, null, 1, 2, null, null, 5, 6]);
    expect(stretches($form, new Passage(1, 4)))->toBe(['1-2 ~ 3-4'])
        ->and(stretches($form, new Passage(1, 3)))->toBe([])
        ->and(stretches($form, new Passage(5, 8)))->toBe(['5-6 ~ 7-8'])
        ->and(stretches($form, new Passage(3, 8)))->toBe(['5-6 ~ 7-8']);
});

test('it is cut before, between and after the two, and never at the ends of the passage', function (array $mirrors, array $cuts) {
    $form = sided($mirrors);
    $found = SideStretches::cuts($form, new Passage(1, count($mirrors)));
    ksort($found);
    expect(array_keys($found))->toBe($cuts)->and(array_unique(array_values($found), SORT_REGULAR))->toBe($cuts === [] ? [] : [CutPin::Always]);
})->with([
    'the whole form is one pair' => [[null, null, 1, 2], [2]],
    'in the middle' => [[null, null, null, 2, 3, null], [1, 3, 5]],
    'with other movements between the two' => [[null, null, null, 1, 2], [2, 3]],
    'with only a link between, which belongs to the second side' => [[null, null, 'c', 1, 2], [2]],
    'none' => [[null, null], []],
]);

test('a movement without a side stands for itself in a stretch that comes back on the other side', function () {
    // 4 to 6 come again as 8 to 10, and the one in the middle has no side.
    $entry = fn (int $at, ?string $mirrors = null, ?string $returns = null, ?Side $side = null) => new Entry("e$at", EntryKind::Movement, "E$at", side: $side, mirrors: $mirrors, returns: $returns);
    $form = fn (?Side $middle, ?string $last = 'e6') => new Form('T', [$entry(1), $entry(2), $entry(3), $entry(4), $entry(5, side: $middle), $entry(6), $entry(7), $entry(8, 'e4'), $entry(9, returns: 'e5', side: $middle), $entry(10, $last)]);
    expect(stretches($form(null)))->toBe(['4-6 ~ 8-10'])->and(stretches($form(Side::Centre)))->toBe(['4-6 ~ 8-10'])
        ->and(stretches($form(Side::Left)))->toBe([]); // the same side once more is no other side
    // What only returns is the stretch once more, and nothing to join.
    $again = new Form('T', [$entry(1), $entry(2), $entry(3, returns: 'e1'), $entry(4, returns: 'e2')]);
    expect(stretches($again))->toBe([]);
});
