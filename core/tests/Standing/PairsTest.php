<?php

declare(strict_types=1);

use Gorvan\Core\Standing\BodySize;
use Gorvan\Core\Standing\Pairable;
use Gorvan\Core\Standing\Pairs;

/** @param  list<array{0: int, 1?: string|null}>  $students  frontier and size @return list<Pairable> called a, b, c … */
function pairable(array $students): array
{
    return array_map(static fn (array $one, int $at): Pairable => new Pairable(chr(97 + $at), BodySize::tryFrom($one[1] ?? ''), $one[0]), $students, array_keys($students));
}

/**
 * Every way to put students into pairs, with one three where the number is odd.
 *
 * @param  list<string>  $ids
 * @return list<list<list<string>>>
 */
function allPairings(array $ids): array
{
    if (count($ids) <= 3) {
        return $ids === [] ? [[]] : (count($ids) === 1 ? [] : [[$ids]]);
    }
    $ways = [];
    $first = array_shift($ids);
    foreach ($ids as $at => $second) {
        $rest = array_values(array_diff($ids, [$second]));
        array_push($ways, ...array_map(static fn (array $way): array => [[$first, $second], ...$way], allPairings($rest)));
        foreach (count($rest) % 2 === 0 ? [] : array_slice($ids, $at + 1) as $third) {
            array_push($ways, ...array_map(static fn (array $way): array => [[$first, $second, $third], ...$way], allPairings(array_values(array_diff($rest, [$third])))));
        }
    }

    return array_values(array_filter($ways, static fn (array $way): bool => count(array_filter($way, static fn (array $one): bool => count($one) === 3)) === (count($ids) + 1) % 2));
}

test('people of like size stand together, and among them those who are secure to about the same place', function () {
    expect(Pairs::of(pairable([[9, 'large'], [1, 'small'], [8, 'large'], [2, 'small']])))->toBe([['b', 'd'], ['c', 'a']])
        ->and(Pairs::of(pairable([[1], [9], [2], [8]])))->toBe([['a', 'c'], ['d', 'b']])
        // Of whom nothing is said is taken as in the middle.
        ->and(Pairs::of(pairable([[5, 'large'], [5], [5, 'middle'], [5, 'large']])))->toBe([['b', 'c'], ['a', 'd']]);
});

test('an odd one makes a three of those who are most alike, and nobody is left over (common practice)', function () {
    expect(Pairs::of(pairable([[1], [2], [10], [11], [12]])))->toBe([['a', 'b'], ['c', 'd', 'e']])
        ->and(Pairs::of(pairable([[1], [2], [3], [11], [12]])))->toBe([['a', 'b', 'c'], ['d', 'e']])
        ->and(Pairs::of(pairable([[1, 'small'], [30, 'small'], [1, 'large'], [2, 'large'], [3, 'large']])))->toBe([['a', 'b'], ['c', 'd', 'e']])
        ->and(Pairs::of(pairable([[4], [2], [7]])))->toBe([['b', 'a', 'c']])
        ->and(Pairs::of(pairable([[4], [2]])))->toBe([['b', 'a']])
        ->and(Pairs::of(pairable([[4]])))->toBe([['a']])
        ->and(Pairs::of([]))->toBe([])
        ->and(Pairs::of(pairable([[5], [5], [5], [5], [5]])))->toBe([['a', 'b', 'c'], ['d', 'e']]); // ties: nearest to the start
});

test('within one size no other pairing puts less unlike people together, of all there are', function () {
    mt_srand(20261127);
    for ($case = 0; $case < 120; $case++) {
        $students = pairable(array_map(static fn (): array => [mt_rand(0, 20)], range(1, mt_rand(2, 7))));
        $frontiers = array_column($students, 'frontier', 'id');
        $cost = static fn (array $way): int => array_sum(array_map(static fn (array $one): int => (max(array_map(static fn (string $id): int => $frontiers[$id], $one)) - min(array_map(static fn (string $id): int => $frontiers[$id], $one))) ** 2, $way));
        $ways = allPairings(array_keys($frontiers));
        $found = Pairs::of($students);
        expect($cost($found))->toBe(min(array_map($cost, $ways)))
            ->and(array_merge(...$found))->toEqualCanonicalizing(array_keys($frontiers));
    }
});
