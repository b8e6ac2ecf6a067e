<?php

declare(strict_types=1);

use Gorvan\Core\Care\Joint;
use Gorvan\Core\Care\WarmUp;
use Gorvan\Core\Care\WarmUpChooser;
use Gorvan\Core\Care\WarmUpKind;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Tests\Said;

/** @param  array<string, array{WarmUpKind, float, list<Joint>}>  $items */
function warmUps(array $items): WarmUpList
{
    return new WarmUpList(array_map(fn (string $id, array $of) => new WarmUp($id, $id, $of[0], $of[1], $of[2] ?? []), array_keys($items), array_values($items)));
}

test('one general item comes first, two in a cold room, then what covers the joints of tonight, then the lightest general ones', function () {
    $list = warmUps([
        'shake' => [WarmUpKind::General, 2.0], 'swing' => [WarmUpKind::General, 3.0], 'walk' => [WarmUpKind::General, 1.0],
        'knees' => [WarmUpKind::Joint, 2.0, [Joint::Knee]], 'necks' => [WarmUpKind::Joint, 1.0, [Joint::Neck]], 'legs' => [WarmUpKind::Joint, 3.0, [Joint::Knee, Joint::Hip]],
        'stand' => [WarmUpKind::Opening, 1.0], 'rest' => [WarmUpKind::Rest, 0.5], 'close' => [WarmUpKind::Closing, 0.5], 'checkin' => [WarmUpKind::CheckIn, 0.5, [Joint::Hip]],
    ]);
    expect(WarmUpChooser::choose($list, 6, ['knee' => 2, 'hip' => 1]))->toBe(['shake', 'legs', 'walk'])
        ->and(WarmUpChooser::choose($list, 4, ['knee' => 2, 'hip' => 1]))->toBe(['shake', 'knees'])
        ->and(WarmUpChooser::choose($list, 10, ['knee' => 2, 'hip' => 1], isCold: true))->toBe(['shake', 'swing', 'legs', 'walk'])
        ->and(WarmUpChooser::choose($list, 6, []))->toBe(['shake', 'walk', 'swing'])
        ->and(WarmUpChooser::choose($list, 0.5, ['knee' => 2]))->toBe([])
        ->and(WarmUpChooser::choose(new WarmUpList([]), 10, ['knee' => 1]))->toBe([]);
});

test('a joint counts once however often it is covered, and what a general item covered counts no more', function () {
    $list = warmUps(['shake' => [WarmUpKind::General, 1.0, [Joint::Knee]], 'knees' => [WarmUpKind::Joint, 1.0, [Joint::Knee]], 'hips' => [WarmUpKind::Joint, 1.0, [Joint::Hip]], 'hips2' => [WarmUpKind::Joint, 1.0, [Joint::Hip]]]);
    expect(WarmUpChooser::choose($list, 9, ['knee' => 9, 'hip' => 1]))->toBe(['shake', 'hips']);
});

test('minutes are rounded up to quarters, and what does not fit is left out', function () {
    $list = warmUps(['a' => [WarmUpKind::Joint, 1.01, [Joint::Knee]]]);
    expect(WarmUpChooser::choose($list, 1.2, ['knee' => 1]))->toBe([])->and(WarmUpChooser::choose($list, 1.25, ['knee' => 1]))->toBe(['a']);
});

test('a list is written as it is read, and an id twice, an unknown joint and no minutes are refused at their place', function () {
    $text = '{"format":"gorvan.warm_ups/1","items":[{"id":"w1","title":"Knees","kind":"joint","joints":["knee"],"minutes":1.5,"note":"n","cautions":[{"for":"knee","do":"skip"}],"house":1}],"more":{}}';
    expect(WarmUpList::read(JsonNode::parse($text))->json())->toBe($text);
    $item = '{"id":"w1","title":"T","kind":"general","minutes":1}';
    foreach ([
        ["{\"format\":\"gorvan.warm_ups/1\",\"items\":[$item,$item]}", '$.items[1].id'],
        ['{"format":"gorvan.warm_ups/1","items":[{"id":"w1","title":"T","kind":"joint","minutes":1,"joints":["toe"]}]}', '$.items[0].joints[0]'],
        ['{"format":"gorvan.warm_ups/1","items":[{"id":"w1","title":"T","kind":"joint","minutes":0}]}', '$.items[0].minutes'],
        ['{"format":"gorvan.form/1","items":[]}', '$.format'],
    ] as [$bad, $place]) {
        expect(Said::refused(fn () => WarmUpList::read(JsonNode::parse($bad))))->toContain($place);
    }
});

test('whatever the list, the box and what is loaded: it fits, nothing comes twice, a general one leads, and what stands apart stays apart', function () {
    mt_srand(1126);
    $loads = 0;
    for ($number = 0; $number < 200; $number++) {
        $items = [];
        for ($at = 0, $count = mt_rand(0, 14); $at < $count; $at++) {
            $kind = WarmUpKind::cases()[mt_rand(0, 5)];
            $items["w$at"] = [$kind, mt_rand(1, 16) / 4, array_values(array_filter(Joint::cases(), fn () => mt_rand(0, 4) === 0))];
        }
        $minutes = mt_rand(0, 80) / 4;
        $isCold = $number % 2 === 0;
        $loaded = mt_rand(0, 3) === 0 ? [] : ['knee' => mt_rand(1, 4), 'neck' => mt_rand(1, 4)];
        $chosen = WarmUpChooser::choose(warmUps($items), $minutes, $loaded, $isCold);
        $kinds = array_map(fn (string $id) => $items[$id][0], $chosen);
        $general = array_keys(array_filter($items, fn (array $of) => $of[0] === WarmUpKind::General));
        $fitting = array_values(array_filter($general, fn (string $id) => $items[$id][1] <= $minutes));
        expect(array_unique($chosen))->toBe($chosen)
            ->and(array_sum(array_map(fn (string $id) => $items[$id][1], $chosen)))->toBeLessThanOrEqual($minutes)
            ->and(array_diff(array_column($kinds, 'value'), ['general', 'joint']))->toBe([]);
        if ($fitting !== []) {
            expect($chosen[0])->toBe($fitting[0]);
        }
        // Whatever is for a joint reaches one that tonight loads.
        foreach ($chosen as $id) {
            if ($items[$id][0] === WarmUpKind::Joint) {
                $loads++;
                expect(array_intersect(array_column($items[$id][2], 'value'), array_keys($loaded)))->not->toBe([]);
            }
        }
        // What is left over is less than the lightest general one that was not taken.
        $left = $minutes - array_sum(array_map(fn (string $id) => $items[$id][1], $chosen));
        foreach (array_diff($general, $chosen) as $id) {
            expect($items[$id][1])->toBeGreaterThan($left);
        }
    }
    expect($loads)->toBeGreaterThan(20);
});
