<?php

declare(strict_types=1);

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Standing\Watchable;
use Gorvan\Core\Standing\Watched;
use Gorvan\Core\Standing\WatchFile;
use Gorvan\Core\Standing\WatchList;
use Gorvan\Core\Standing\WatchPassage;
use Gorvan\Core\Standing\WatchReason;

/** @return list<string> */
function watchedNames(WatchList $list): array
{
    return array_map(fn (Watched $one) => $one->student, $list->watch);
}

test('whoever is least certain where it matters soonest comes first, and overdue before all', function () {
    $passages = WatchPassage::of(['a'], [['b']], ['c'], [['d']]);
    $list = WatchList::of([
        new Watchable('certain', 0, ['a' => 1.0, 'b' => 1.0]),
        new Watchable('half', 0, ['b' => 0.5]),
        new Watchable('seen long ago', 2, ['b' => 0.5]),
        new Watchable('recap', 0, ['a' => 0.5, 'b' => 0.5]),
        new Watchable('three times', 3, ['d' => 0.99]),
        new Watchable('never', null, ['d' => 0.9]),
    ], $passages);
    // 1 x 0.5 and 0.8 x 0.5 without waiting; 0.8 x (0.5 + 0.5 x 2/3) = 0.667 after two meetings.
    expect(watchedNames($list))->toBe(['never', 'three times', 'seen long ago', 'recap', 'half'])
        ->and($list->watch[2]->rank)->toEqualWithDelta(0.8 * (0.5 + 1 / 3), 1e-12)
        ->and($list->watch[3]->passage)->toBe(['a'])
        ->and($list->watch[0]->why)->toBe(WatchReason::NeverMarked)->and($list->watch[1]->why)->toBe(WatchReason::LongUnseen)
        ->and($list->overdue)->toBe([]);
});

test('beyond five, nobody who is overdue is left out; equals stand by id', function () {
    $students = array_map(fn (int $n) => new Watchable("s$n", $n < 8 ? 3 : 1, ['a' => 0.5]), [9, 7, 6, 5, 4, 3, 2, 1]);
    $list = WatchList::of($students, WatchPassage::of(['a'], [], [], []));
    expect(watchedNames($list))->toBe(['s1', 's2', 's3', 's4', 's5'])->and($list->overdue)->toBe(['s6', 's7']);
});

test('whoever is back and lacks something of tonight comes before all, with what it is', function () {
    $passages = WatchPassage::of(['a', 'b'], [['c', 'd']], ['e'], [['z']]);
    $list = WatchList::of([
        new Watchable('never marked', null, ['a' => 0.5, 'b' => 0.5]),
        new Watchable('back', 0, ['c' => 0.9], 4, ['z', 'd'], ['b']),
        new Watchable('back, and weak', 0, ['a' => 0.9], 1, ['z'], ['b']),
        new Watchable('back, and lacks nothing', 0, ['a' => 0.9], 1),
        new Watchable('back, for another evening', 0, ['a' => 0.9], 1, ['z'], ['z']),
        new Watchable('was there, and lacks it', 0, ['a' => 0.9], 0, ['b']),
    ], $passages);
    expect($list->watch[0])->student->toBe('back')->why->toBe(WatchReason::Back)->passage->toBe(['d'])
        ->and($list->watch[1])->student->toBe('back, and weak')->why->toBe(WatchReason::Back)->passage->toBe(['b'])
        ->and($list->watch[2]->student)->toBe('never marked')
        ->and($list->watch)->toHaveCount(5)
        ->and(array_map(fn (Watched $one) => $one->why, array_slice($list->watch, 3)))->each->toBe(WatchReason::Unsure);
});

test('what was never met is no doubt; with nothing on there is nothing to look at', function () {
    $one = fn (array $recalls, array $passages) => WatchList::of([new Watchable('s', 0, $recalls)], $passages)->watch[0];
    expect($one(['a' => 0.5], WatchPassage::of(['a', 'b'], [], [], []))->unsure)->toBe(0.5)
        ->and($one([], WatchPassage::of(['a'], [], [], []))->rank)->toBe(0.0)
        ->and($one(['a' => 0.5], WatchPassage::of([], [[]], [], []))->passage)->toBe([]);
});

test('the list equals a plain second computation on 300 random evenings', function () {
    mt_srand(9);
    for ($round = 0; $round < 300; $round++) {
        $entries = array_map(fn (int $n) => "e$n", range(1, mt_rand(1, 9)));
        $some = fn () => array_values(array_filter($entries, fn () => mt_rand(0, 2) === 0));
        [$recap, $review, $run, $others] = [$some(), [$some(), $some()], $some(), [$some()]];
        $students = [];
        for ($n = mt_rand(0, 12); $n > 0; $n--) {
            $recalls = [];
            foreach ($some() as $entry) {
                $recalls[$entry] = [0.0, 1.0, 0.5, mt_rand(0, 1000) / 1000][mt_rand(0, 3)];
            }
            $students[] = new Watchable("s$n", [null, 0, 1, 2, 3, 4][mt_rand(0, 5)], $recalls);
        }
        // Straight from the text: every passage of every student, then sorted by a string key.
        $rows = [];
        foreach ($students as $student) {
            $best = -1.0;
            foreach ([[$recap, 1.0], [$review[0], 0.8], [$review[1], 0.8], [$run, 0.8], [$others[0], 0.5]] as [$passage, $soon]) {
                if ($passage === []) {
                    continue;
                }
                $bits = 0.0;
                foreach ($passage as $entry) {
                    $r = $student->recalls[$entry] ?? 0.0;
                    $bits += in_array($r, [0.0, 1.0], true) ? 0.0 : -($r * log($r) + (1 - $r) * log(1 - $r)) / M_LN2;
                }
                $stale = $student->attendedSinceMark === null ? 1 : min(1, $student->attendedSinceMark / 3);
                $best = max($best, $bits / count($passage) * $soon * (0.5 + 0.5 * $stale));
            }
            $isOverdue = $student->attendedSinceMark === null || $student->attendedSinceMark >= 3;
            $rows[$student->id] = [$isOverdue, max(0.0, $best)];
        }
        uksort($rows, fn (string $a, string $b) => [$rows[$b][0], round($rows[$b][1], 9)] <=> [$rows[$a][0], round($rows[$a][1], 9)] ?: strcmp($a, $b));
        $list = WatchList::of($students, WatchPassage::of($recap, $review, $run, $others), 5);
        $all = WatchList::of($students, WatchPassage::of($recap, $review, $run, $others), count($students));
        $ranks = array_map(fn (Watched $one) => round($one->rank, 9), $all->watch);
        expect($ranks)->toEqual(array_map(fn (array $row) => round($row[1], 9), array_values($rows)))
            ->and(count($list->watch))->toBe(min(5, count($students)))
            ->and([...array_filter(watchedNames($list), fn (string $id) => $rows[$id][0]), ...$list->overdue])->toBe(watchedNames(WatchList::of(array_values(array_filter($students, fn (Watchable $one) => $rows[$one->id][0])), WatchPassage::of($recap, $review, $run, $others), 99)));
    }
});

test('a problem file that cannot be is refused at its place', function (array $problem, string $place) {
    try {
        WatchFile::read(json_encode($problem));
    } catch (BadInput $e) {
        expect($e->place)->toBe($place);

        return;
    }
    $this->fail('It was read.');
})->with([
    [['students' => [['id' => 's', 'recall' => ['a' => 2]]]], '$.students[0].recall.a'],
    [['students' => [['id' => 's', 'recall' => (object) []], ['id' => 's', 'recall' => (object) []]]], '$.students[1].id'],
    [['students' => [['id' => 's', 'attended_since_mark' => -1, 'recall' => (object) []]]], '$.students[0].attended_since_mark'],
    [['students' => [], 'limit' => -1], '$.limit'],
]);
