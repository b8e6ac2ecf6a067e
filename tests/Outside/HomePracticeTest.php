<?php

declare(strict_types=1);

/*
 * Practice sheets against full enumeration: every set of at most three passages that fits is tried, with recall from the
 * memory model's own published curve, on 200 random cases.
 */

use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Practice\PracticeItem;
use Gorvan\Core\Practice\PracticePlanner;
use Gorvan\Core\Practice\PracticeRequest;
use Gorvan\Core\Term\KnownEntry;

/**
 * The most that any choice is worth: every subset of the entries is a choice, its runs are its passages.
 *
 * @param  list<array{value: float, quarters: int}|null>  $entries
 */
function mostOfAnySheet(array $entries, int $budget): float
{
    $best = 0.0;
    $count = count($entries);
    for ($set = 1; $set < 1 << $count; $set++) {
        $value = 0.0;
        $quarters = $passages = 0;
        $before = false;
        for ($at = 0; $at < $count; $at++) {
            $is = ($set >> $at & 1) === 1;
            if ($is) {
                if ($entries[$at] === null) {
                    continue 2;
                }
                $passages += $before ? 0 : 1;
                $value += $entries[$at]['value'];
                $quarters += $entries[$at]['quarters'] + ($before ? 0 : 2);
            }
            $before = $is;
        }
        if ($passages <= 3 && $quarters <= $budget) {
            $best = max($best, $value);
        }
    }

    return $best;
}

test('200 random sheets are worth what full enumeration finds to be most, and no days, no minutes and one entry are among them (source: full enumeration)', function () {
    mt_srand(20261126);
    $full = $three = 0;
    for ($case = 0; $case < 200; $case++) {
        $count = $case < 10 ? 1 + $case % 3 : mt_rand(4, 11);
        [$on, $next] = [1000, 1000 + mt_rand(1, 14)];
        $minutes = $case % 17 === 0 ? 0.0 : mt_rand(0, 60) / 4;
        $days = mt_rand(0, 6);
        $items = array_map(static fn (): ?PracticeItem => mt_rand(0, 5) === 0 ? null : new PracticeItem(new KnownEntry(new MemoryState(mt_rand(10, 4000) / 100, mt_rand(100, 1000) / 100), $on - mt_rand(0, 60)), (float) [0, 12, 24, mt_rand(1, 200)][mt_rand(0, 3)], [1.0, 1.5][mt_rand(0, 1)]), range(1, $count));
        $plan = (new PracticePlanner)->plan(new PracticeRequest($on, $next, $items, $minutes, $days));
        // Each entry alone, by the curve: what practising it on those days adds.
        $alone = array_map(static function (?PracticeItem $item) use ($next, $plan, $minutes): ?array {
            if ($item === null) {
                return null;
            }
            $model = new MemoryModel;
            [$state, $last] = [$item->known->state, $item->known->last];
            foreach ($plan->days as $day) {
                $state = $model->later($state, $day - $last, Gorvan\Core\Memory\Evidence::practised());
                $last = $day;
            }

            return ['value' => $item->weight * ($model->recall($next - $last, $state->stability) - $model->recall($next - $item->known->last, $item->known->state->stability)), 'quarters' => $item->seconds > 120 ? (int) ceil(round(min($item->seconds, max(0.0, 60 * $minutes - 30)) / 15, 9)) : (int) ceil(round(2 * $item->seconds / 15, 9))]; // what takes over two minutes once
        }, $items);
        $best = $plan->days === [] ? 0.0 : mostOfAnySheet($alone, (int) floor(round($minutes * 4, 9)));
        expect($plan->value())->toEqualWithDelta($best, 1e-9, "case $case")
            ->and($plan->minutes())->toBeLessThanOrEqual($minutes + 1e-9)
            ->and(count($plan->passages))->toBeLessThanOrEqual(3);
        $own = 0.0;
        foreach ($plan->passages as $one) {
            foreach ($one->passage->positions() as $at) {
                expect($alone[$at - 1])->not->toBeNull();
                $own += $alone[$at - 1]['value'];
            }
        }
        expect($own)->toEqualWithDelta($best, 1e-9);
        $full += (int) ($plan->passages !== []);
        $three += (int) (count($plan->passages) === 3);
    }
    expect($full)->toBeGreaterThan(80)->and($three)->toBeGreaterThan(10);
});
