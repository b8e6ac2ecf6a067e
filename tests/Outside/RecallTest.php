<?php

declare(strict_types=1);

use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\FactKind;
use Gorvan\Core\Record\Record;
use Gorvan\Core\Record\Subject;
use Gorvan\Core\Record\Support;
use Tests\Outside\Reference;

/** @return list<list<array{days: int, seen: string, ahead: int}>> histories that meet every clamp */
function histories(): array
{
    mt_srand(20260106);
    $pick = fn (array $from): mixed => $from[mt_rand(0, count($from) - 1)];
    $styles = [
        'anything' => [['Following', 'Cued', 'Alone', 'Flowing', 'Leading', 'taught', 'practice'], [1, 2, 3, 7, 7, 7, 14, 30, 90]],
        'heavy with Following' => [['Following', 'Following', 'Following', 'Following', 'Cued', 'Alone'], [1, 1, 2, 7, 7, 14]],
        'only Following' => [['Following'], [1, 7]],
        'gaps of years' => [['Alone', 'Flowing', 'Leading', 'Following', 'taught'], [7, 365, 1000, 3650, 9000]],
        'unseen runs' => [['taught', 'practice', 'practice', 'practice', 'Alone'], [1, 7, 7, 7, 21]],
        'only flowing' => [['Flowing', 'Leading'], [7, 30, 365, 3650, 9000]],
    ];
    $histories = [];
    for ($at = 0; $at < 1200; $at++) {
        [$seen, $gaps] = $styles[array_keys($styles)[$at % count($styles)]];
        $history = [];
        // Stability needs scores of failures in a row to sink to its floor.
        for ($step = $at % 30 === 2 ? 120 : mt_rand(2, 24); $step > 0; $step--) {
            $history[] = ['days' => $pick($gaps), 'seen' => $pick($seen), 'ahead' => $pick([0, 1, 7, 30, 400, 10000])];
        }
        $histories[] = $history;
    }

    return $histories;
}

test('every update of 1,200 histories agrees with ts-fsrs 5.4.2 (source: the reference library on npm)', function () {
    $histories = histories();
    $reference = Reference::ask('recall.mjs', $histories);
    $zone = new DateTimeZone('UTC');
    $replay = new Replay;
    $model = new MemoryModel;
    $near = fn (float $own, float $theirs, int $step): bool => abs($own - $theirs) <= max(1e-7, 1e-6 * abs($theirs)) * $step;
    $updates = 0;
    // At the default weights difficulty settles at 9.978 under its clamp of 10, and no first stability lies under 0.1.
    $clamps = ['least stability' => 0, 'most stability' => 0, 'forgetting cap' => 0, 'least difficulty' => 0, 'difficulty at its top' => 0];
    $cap = exp(0.5425 * 0.0912);
    foreach ($histories as $number => $history) {
        $facts = [];
        $before = 0.0;
        $day = new DateTimeImmutable('1900-01-01T12:00:00', $zone);
        foreach ($history as $at => ['days' => $days, 'seen' => $seen, 'ahead' => $ahead]) {
            $day = $at === 0 ? $day : $day->modify("+$days days");
            $facts[] = match ($seen) {
                'taught' => Fact::contact("$at", FactKind::Taught, Subject::entry('a'), Day::of($day, $zone), $day),
                'practice' => Fact::contact("$at", FactKind::Practice, Subject::entry('a'), Day::of($day, $zone), $day),
                default => Fact::mark("$at", Subject::entry('a'), Day::of($day, $zone), $day, Support::named($seen) ?? Support::Unmet),
            };
            $on = Day::of($day, $zone) + $ahead;
            $own = $replay->until(new Record($facts), $on, fn (): bool => false)['a']->whole;
            $theirs = $reference[$number][$at];
            $agrees = $near($own->state->stability, $theirs['stability'], $at + 1)
                && $near($own->state->difficulty, $theirs['difficulty'], $at + 1)
                && $near($own->recallOn($on, $model), $theirs['recall'], $at + 1);
            if (! $agrees) {
                $this->fail("History $number, update $at ($seen after $days days): ".json_encode([$own, $theirs]));
            }
            $clamps['least stability'] += (int) ($own->state->stability === 0.001);
            $clamps['forgetting cap'] += (int) (abs($own->state->stability - $before / $cap) < 1e-12);
            $clamps['most stability'] += (int) ($own->state->stability >= 36500.0);
            $clamps['least difficulty'] += (int) ($own->state->difficulty <= 1.0);
            $clamps['difficulty at its top'] += (int) ($own->state->difficulty > 9.97);
            $before = $own->state->stability;
            $updates++;
        }
    }
    expect($updates)->toBeGreaterThan(10_000)
        ->and(min($clamps))->toBeGreaterThan(0, json_encode($clamps));
});

test('recall a week later after each of six weekly contacts (source: engine notes, worked example)', function (Evidence $first, Evidence $later, array $recalls) {
    $model = new MemoryModel;
    $state = $model->first($first);
    foreach ($recalls as $at => $recall) {
        $state = $at === 0 ? $state : $model->later($state, 7, $later);
        expect(round($model->recall(7, $state->stability), 3))->toBe($recall);
    }
})->with([
    'always Following' => [fn () => Evidence::ofMark(Support::Following), fn () => Evidence::ofMark(Support::Following), [0.582, 0.545, 0.515, 0.491, 0.471, 0.455]],
    'always Cued' => [fn () => Evidence::ofMark(Support::Cued), fn () => Evidence::ofMark(Support::Cued), [0.665, 0.739, 0.770, 0.777, 0.772, 0.762]],
    'always Alone' => [fn () => Evidence::ofMark(Support::Alone), fn () => Evidence::ofMark(Support::Alone), [0.808, 0.958, 0.979, 0.986, 0.989, 0.991]],
    'taught, then unseen' => [fn () => Evidence::taught(), fn () => Evidence::practised(), [0.665, 0.784, 0.874, 0.923, 0.947, 0.960]],
    'practice only' => [fn () => Evidence::practised(), fn () => Evidence::practised(), [0.582, 0.690, 0.792, 0.866, 0.910, 0.935]],
]);
