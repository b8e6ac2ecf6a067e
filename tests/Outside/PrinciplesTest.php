<?php

declare(strict_types=1);

use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Prerequisites;
use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Record;
use Gorvan\Core\Record\Subject;
use Gorvan\Core\Term\FocusFile;
use Tests\Outside\Reference;

/** @return list<array<string, list<string>>> what comes before what, at random: some with circles, some without, some with loops */
function prerequisites(): array
{
    mt_srand(20261126);
    $cases = [];
    for ($case = 0; $case < 400; $case++) {
        $ids = array_map(fn (int $at) => "p$at", range(1, mt_rand(1, 14)));
        $after = array_fill_keys($ids, []);
        for ($edge = mt_rand(0, 2 * count($ids)); $edge > 0; $edge--) {
            [$one, $other] = [mt_rand(0, count($ids) - 1), mt_rand(0, count($ids) - 1)];
            // Half of the cases point backwards only, so that they have no circle.
            if ($case % 2 === 0 && $one === $other) {
                continue;
            }
            $case % 2 === 0 ? $after[$ids[max($one, $other)]][] = $ids[min($one, $other)] : $after[$ids[$one]][] = $ids[$other];
        }
        // Written down in any order.
        $keys = array_keys($after);
        shuffle($keys);
        $cases[] = array_map(fn (array $before) => array_values(array_unique($before)), array_replace(array_flip($keys), $after));
    }

    return $cases;
}

test('circles and orders of 400 sets of prerequisites agree with @dagrejs/graphlib 4.0.6 (source: the library on npm)', function () {
    $cases = prerequisites();
    $reference = Reference::ask('graph.mjs', array_map(fn (array $after) => ['after' => (object) $after, 'order' => Prerequisites::order($after)], $cases));
    $round = 0;
    foreach ($cases as $at => $after) {
        $circle = Prerequisites::circle($after);
        $isAcyclic = $reference[$at]['isAcyclic'] && $reference[$at]['loops'] === [];
        $this->assertSame($isAcyclic, $circle === [], json_encode($after));
        $this->assertSame($isAcyclic, $reference[$at]['keeps'], 'the order: '.json_encode($after));
        // Each of a circle comes after the next, and all of it lies within one that the library found.
        foreach ($circle as $n => $id) {
            $this->assertContains($circle[($n + 1) % count($circle)], $after[$id], json_encode($after));
        }
        if ($circle !== []) {
            $found = array_filter([...$reference[$at]['circles'], ...array_map(fn (string $id) => [$id], $reference[$at]['loops'])], fn (array $one) => array_diff($circle, $one) === []);
            $this->assertNotSame([], $found, json_encode([$after, $circle, $reference[$at]]));
            $round++;
        }
    }
    expect($round)->toBeGreaterThan(100)->and(count($cases) - $round)->toBeGreaterThan(200);
});

test('marks of principles that are all there replay as Good and Easy do in ts-fsrs 5.4.2 (source: the reference library on npm)', function () {
    mt_srand(20261127);
    // Reminded is between remembered and not, as Cued is; the others are the reference's own grades 3 and 4.
    $as = ['Slow' => 'Alone', 'Stopped' => 'Alone', 'Throughout' => 'Flowing', 'Reminded' => 'Cued'];
    $histories = [];
    for ($at = 0; $at < 300; $at++) {
        $histories[] = array_map(fn () => ['days' => [1, 3, 7, 7, 14, 60, 400][mt_rand(0, 6)], 'seen' => array_keys($as)[mt_rand(0, 3)], 'ahead' => [0, 7, 30][mt_rand(0, 2)]], range(1, mt_rand(1, 12)));
    }
    $reference = Reference::ask('recall.mjs', array_map(fn (array $history) => array_map(fn (array $one) => [...$one, 'seen' => $as[$one['seen']]], $history), $histories));
    foreach ($histories as $number => $history) {
        $day = Day::number('2000-01-01');
        $facts = [];
        foreach ($history as $at => ['days' => $days, 'seen' => $seen, 'ahead' => $ahead]) {
            $day += $at === 0 ? 0 : $days;
            // In general, or as seen in one entry: both feed the one track, since both are facts of the principle.
            $facts[] = Fact::mark("$at", Subject::principle('p'), $day, new DateTimeImmutable(Day::text($day).'T12:00:00Z'), Keeping::named($seen) ?? Keeping::Unmet);
            $own = (new Replay)->until(new Record($facts), $day + $ahead, fn () => false)['principle:p']->whole;
            expect($own->state->stability)->toEqualWithDelta($reference[$number][$at]['stability'], 1e-6 * max(1, $reference[$number][$at]['stability']))
                ->and($own->recallOn($day + $ahead, new MemoryModel))->toEqualWithDelta($reference[$number][$at]['recall'], 1e-6);
        }
    }
});

/**
 * A term worked by hand, with one student who always comes (so that a mean is their recall), from the formulas of engine 6 and
 * 16 and the published weights; the arithmetic is shown, rounded to four places.
 *
 * F = 0.9^(-1/0.1542) - 1 = 0.9804. A focus taught and not seen: S = sqrt(1.2931 x 0.212) = 0.5236.
 * 7 Jan   p1 is the first open new one (p2 comes after it): recall 0, need 1, bite 0.5 + 0.5 x 3 / (3 x 2) = 0.75.
 * 14 Jan  the meeting before introduced one, so only p1: by 21 Jan (14 days) (1 + 0.9804 x 14 / 0.5236)^-0.1542 = 0.6008;
 *         tonight is e1 alone: bite 0.5 + 0.5 x 3 / 3 = 1.
 *         Worked on and not seen, D = 5.1122, R = 0.6649 at 7 days: remembered 4.6285 (hard penalty), forgotten 0.2729,
 *         so S = e^(0.6649 ln 4.6285 + 0.3351 ln 0.2729) = 1.7926.
 * 21 Jan  a new one may come; p1 is recalled (1 + 0.9804 x 7 / 1.7926)^-0.1542 = 0.7844 today, at least 0.5, so p2 is open:
 *         need 1 x bite 0.75 (it has no bites) = 0.75, against p1: by 28 Jan (14 days) 0.7169, need 0.2831 x bite 0.5 (it has
 *         bites, tonight has no entries) = 0.1416.
 * 28 Jan  no new one: p2 by 4 Feb (14 days) 0.6008, need 0.3992 x 0.75 = 0.2994; p1 by 4 Feb (21 days)
 *         (1 + 0.9804 x 21 / 1.7926)^-0.1542 = 0.6775, need 0.3225 x bite 1 (e1) = 0.3225: p1, since tonight shows it.
 */
test('a term of focuses comes out as worked by hand (source: engine notes 6 and 16, arithmetic above)', function () {
    $laid = FocusFile::read(json_encode([
        'students' => 1, 'attendance' => 1,
        'principles' => [['id' => 'p1'], ['id' => 'p2', 'after' => ['p1']]],
        'bites' => [['principle' => 'p1', 'entry' => 'e1', 'strength' => 3]],
        'meetings' => [['on' => '2026-01-07', 'entries' => ['e1', 'e2']], ['on' => '2026-01-14', 'entries' => ['e1']], ['on' => '2026-01-21'], ['on' => '2026-01-28', 'entries' => ['e1']]],
    ]))->laid();
    $expected = [['p1', true, 0.0, 0.75], ['p1', false, 0.6008, 1.0], ['p2', true, 0.0, 0.75], ['p1', false, 0.6775, 1.0]];
    foreach ($expected as $at => [$principle, $isNew, $mean, $bite]) {
        expect([$laid[$at][0]->principle, $laid[$at][0]->isNew])->toBe([$principle, $isNew])
            ->and($laid[$at][0]->mean)->toEqualWithDelta($mean, 6e-5)->and($laid[$at][0]->bite)->toEqualWithDelta($bite, 1e-12);
    }
});

test('the sets that ship keep to the trade (common practice): families of three or four or none, and one focus at a time opens the next', function (string $file) {
    $set = Gorvan\Core\Principle\PrincipleFile::read((string) file_get_contents($file))->set;
    expect(count($set->families))->toBeIn([0, 3, 4])
        ->and(strlen((string) $set->about))->toBeGreaterThan(80)->and($set->about)->toContain('memory')->toContain('common practice')
        // The order they are taught in never asks for what comes later.
        ->and(Prerequisites::order($set->after()))->toBe($set->ids());
})->with(fn () => glob(dirname(__DIR__, 2).'/database/principles/*.json'));

test('a set says what the trade says of the empty foot and of range (common practice): a tenth at most, about seven tenths', function () {
    $texts = implode(' ', array_map(file_get_contents(...), glob(base_path('database/principles/*.json')) ?: []));
    expect($texts)->toContain('no more than a tenth of the weight')->toContain('seven tenths of the way');
});
