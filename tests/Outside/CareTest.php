<?php

declare(strict_types=1);

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\CareAdvice;
use Gorvan\Core\Care\CareRule;
use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\Joint;
use Gorvan\Core\Care\Spared;
use Gorvan\Core\Care\Strain;
use Gorvan\Core\Care\WarmUp;
use Gorvan\Core\Care\WarmUpChooser;
use Gorvan\Core\Care\WarmUpKind;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Reading\JsonNode;

/**
 * The best set of warm-ups by trying every one: most weight, then fewest quarters, then the earliest in the list. A second
 * computation, written apart from the first.
 *
 * @param  list<WarmUp>  $items
 * @return array{int, int, list<string>}
 */
function bestOfAll(array $items, int $quarters, array $loaded): array
{
    $best = [-1, 0, []];
    for ($set = 0; $set < 1 << count($items); $set++) {
        $minutes = $weight = 0;
        $ids = $joints = $places = [];
        foreach ($items as $at => $item) {
            if (($set >> $at) & 1) {
                $minutes += (int) ceil($item->minutes * 4);
                $ids[] = $item->id;
                $places[] = sprintf('%02d', $at);
                foreach ($item->joints as $joint) {
                    $joints[$joint->value] = true;
                }
            }
        }
        if ($minutes > $quarters) {
            continue;
        }
        foreach (array_keys($joints) as $joint) {
            $weight += $loaded[$joint] ?? 0;
        }
        if ($weight > $best[0] || ($weight === $best[0] && ($minutes < $best[1] || ($minutes === $best[1] && implode(' ', $places) < implode(' ', $best[3]))))) {
            $best = [$weight, $minutes, $ids, $places];
        }
    }

    return array_slice($best, 0, 3);
}

test('on 300 random lists the warm-ups chosen are those that trying every set finds (a second computation)', function () {
    mt_srand(20261126);
    $several = 0;
    for ($number = 0; $number < 300; $number++) {
        $items = [];
        for ($at = 0, $count = $number < 3 ? $number : mt_rand(1, 11); $at < $count; $at++) {
            $joints = array_values(array_filter(Joint::cases(), fn () => mt_rand(0, 3) === 0));
            $items[] = new WarmUp("w$at", "W$at", WarmUpKind::Joint, [0.25, 0.5, 1.0, 1.5, 2.0][mt_rand(0, 4)], $joints);
        }
        $loaded = [];
        foreach (Joint::cases() as $joint) {
            mt_rand(0, 2) > 0 && $loaded[$joint->value] = mt_rand(1, 4);
        }
        $quarters = mt_rand(0, 24);
        [$weight, $minutes, $ids] = bestOfAll($items, $quarters, $loaded);
        expect(WarmUpChooser::choose(new WarmUpList($items), $quarters / 4, $loaded))->toBe($ids);
        $several += count($ids) > 2 ? 1 : 0;
    }
    expect($several)->toBeGreaterThan(60);
});

test('what a strain asks of, and the joints it loads, are those of the written table (source: the design of the care rules, section 12; practice)', function () {
    $asks = ['deep_bend' => 'knee hip ankle lower_back', 'one_leg' => 'balance ankle knee hip dizziness', 'neck_circle' => 'neck dizziness', 'fold' => 'lower_back hip dizziness breath_or_heart pregnancy', 'fast_turn' => 'knee lower_back balance dizziness'];
    $joints = ['deep_bend' => 'knee hip', 'one_leg' => 'ankle hip', 'neck_circle' => 'neck', 'fold' => 'lower_back hip', 'fast_turn' => 'knee lower_back'];
    foreach (Strain::cases() as $strain) {
        expect(array_column($strain->asksOf(), 'value'))->toBe(explode(' ', $asks[$strain->value]))
            ->and(array_column($strain->joints(), 'value'))->toBe(explode(' ', $joints[$strain->value]));
    }
});

test('the warm-ups that come with the application are about sixteen, with openings, closings and rests apart, and keep to the facts of the trade (common practice)', function () {
    $list = WarmUpList::read(JsonNode::parse((string) file_get_contents(database_path('warm-ups/generic.json'))));
    $of = fn (WarmUpKind ...$kinds) => array_values(array_filter($list->items, fn (WarmUp $one) => in_array($one->kind, $kinds, true)));
    expect(count($of(WarmUpKind::General, WarmUpKind::Joint)))->toBe(16)
        ->and(array_map(fn (WarmUpKind $kind) => $of($kind) !== [], WarmUpKind::cases()))->toBe(array_fill(0, 6, true));
    $covered = array_merge(...array_map(fn (WarmUp $one) => array_column($one->joints, 'value'), $of(WarmUpKind::Joint)));
    expect(array_unique($covered))->toEqualCanonicalizing(array_column(Joint::cases(), 'value'));
    foreach ($list->items as $one) {
        // Circles of a joint: five each way.
        if (preg_match('/circles?\b/i', $one->title) === 1 && $one->joints !== [Joint::Shoulder]) {
            expect(strtolower((string) $one->note))->toContain('five');
        }
        // No neck circles and no hanging head for anybody; what reaches the neck has a caution for it.
        if (in_array(Joint::Neck, $one->joints, true)) {
            expect($one->note)->not->toMatch('/circle the head|head circles/i')
                ->and(array_filter($one->cautions, fn ($caution) => in_array($caution->for, [Consideration::Neck, Consideration::Shoulder], true)))->not->toBe([]);
        }
        // Who is dizzy does not hang the head; who has a bad knee does not circle it.
        if ($one->title === 'Rolling down, hands along the thighs') {
            expect(array_filter($one->cautions, fn ($caution) => $caution->for === Consideration::Dizziness && $caution->do === Adaptation::Skip))->not->toBe([]);
        }
    }
});

test('what stands wherever care is used keeps to the facts of the trade, and defers to clinicians and local rules (common practice)', function () {
    $said = json_decode((string) file_get_contents(resource_path('js/messages/en/first/plan.json')), true)['care'];
    foreach (['70 %', 'No pain', 'knee over the toes', 'never locked', 'dizziness', 'chest tightness', 'breathlessness', 'not medical advice', 'clinician', 'local emergency rules come first'] as $fact) {
        expect($said)->toContain($fact);
    }
});

test('the slow roll-down stays where the hang is skipped: a caution belongs to a variation (common practice)', function () {
    $advice = CareRule::of(new Spared([Consideration::LowerBack]), [], [Strain::Fold], ['The hang' => [new Caution(Consideration::LowerBack, Adaptation::Skip)], 'The slow roll-down' => []]);
    expect(array_map(fn (CareAdvice $one) => [$one->do, $one->variant], $advice))->toBe([[Adaptation::Skip, 'The hang']]);
});

test('knees, hips, backs, necks, balance and first-timers each find their caution (facts of the trade, common practice)', function (Consideration $who, Strain $strain) {
    $usual = $strain->usualCaution();
    // What is usual for a strain is for somebody the strain asks of, and whoever is asked of is never passed over in silence.
    expect($strain->asksOf())->toContain($usual->for)
        ->and(CareRule::of(new Spared([$who]), [$usual], [$strain]))->not->toBe([]);
})->with([
    [Consideration::Knee, Strain::DeepBend], [Consideration::Hip, Strain::DeepBend], [Consideration::LowerBack, Strain::Fold], [Consideration::Neck, Strain::NeckCircle],
    [Consideration::Dizziness, Strain::NeckCircle], [Consideration::Balance, Strain::OneLeg], [Consideration::Dizziness, Strain::FastTurn], [Consideration::Pregnancy, Strain::Fold],
]);
