<?php

declare(strict_types=1);

use Gorvan\Core\Standing\BodySize;
use Gorvan\Core\Standing\Pairable;
use Gorvan\Core\Standing\Pairs;
use Tests\Outside\Reference;

/** @param  list<int>  $frontiers @return list<Pairable> */
function classOf(array $frontiers, ?BodySize $size = null): array
{
    return array_map(static fn (int $frontier, int $at): Pairable => new Pairable(sprintf('s%02d', $at), $size, $frontier), $frontiers, array_keys($frontiers));
}

/** @param  list<list<string>>  $pairs @param  list<int>  $frontiers */
function unlikeness(array $pairs, array $frontiers): int
{
    return array_sum(array_map(static function (array $pair) use ($frontiers): int {
        $own = array_map(static fn (string $id): int => $frontiers[(int) substr($id, 1)], $pair);

        return (max($own) - min($own)) ** 2;
    }, $pairs));
}

test('pairs of 60 random classes of one size are as alike as HiGHS can make them, with one three where the number is odd (source: the HiGHS solver on npm)', function () {
    mt_srand(20261127);
    $classes = array_map(static fn (int $case): array => array_map(static fn (): int => mt_rand(0, $case % 3 === 0 ? 4 : 72), range(1, mt_rand(2, 14))), range(1, 60));
    $answers = Reference::ask('pairs.mjs', $classes);
    $odd = 0;
    foreach ($classes as $at => $frontiers) {
        $pairs = Pairs::of(classOf($frontiers));
        expect($answers[$at]['status'])->toBe('Optimal')
            ->and(unlikeness($pairs, $frontiers))->toBe((int) round($answers[$at]['value']))
            // The answer itself: everyone is in one of them, in twos but for one three.
            ->and(array_merge(...$pairs))->toEqualCanonicalizing(array_map(static fn (Pairable $one): string => $one->id, classOf($frontiers)))
            ->and(array_count_values(array_map(count(...), $pairs)))->toEqualCanonicalizing(array_filter([2 => intdiv(count($frontiers), 2) - count($frontiers) % 2, 3 => count($frontiers) % 2]));
        $odd += count($frontiers) % 2;
    }
    expect($odd)->toBeGreaterThan(15);
});

test('nobody small works with somebody large where another pairing spares it (common practice: like size in partner work)', function () {
    mt_srand(1127);
    for ($case = 0; $case < 100; $case++) {
        $sizes = array_map(static fn (): BodySize => BodySize::cases()[mt_rand(0, 2)], range(1, 2 * mt_rand(1, 8)));
        $students = array_map(static fn (BodySize $size, int $at): Pairable => new Pairable((string) $at, $size, mt_rand(0, 40)), $sizes, array_keys($sizes));
        $ranks = array_map(static fn (Pairable $one): int => $one->sizeRank(), $students);
        sort($ranks);
        // In a row by size neighbours differ least in all (a known property of sorted pairing).
        $least = array_sum(array_map(static fn (array $pair): int => ($pair[1] - $pair[0]) ** 2, array_chunk($ranks, 2)));
        $found = array_sum(array_map(static fn (array $pair): int => ($students[(int) $pair[0]]->sizeRank() - $students[(int) $pair[1]]->sizeRank()) ** 2, Pairs::of($students)));
        expect($found)->toBe($least);
    }
});
