<?php

declare(strict_types=1);

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\BodySide;
use Gorvan\Core\Care\CareAdvice;
use Gorvan\Core\Care\CareRule;
use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\Spared;
use Gorvan\Core\Care\Strain;
use Gorvan\Core\Care\StudentConsideration;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Tests\Said;

/** @param  list<CareAdvice>  $advice */
function advised(array $advice): array
{
    return array_map(fn (CareAdvice $one) => implode(' ', array_filter([$one->do->value ?? 'ask', $one->for->value, $one->variant, implode('+', array_map(fn (Strain $strain) => $strain->value, $one->strains))])), $advice);
}

test('what a student spares is matched with the cautions that are for it, the strictest first', function () {
    $cautions = array_map(fn (Adaptation $do) => new Caution(Consideration::Knee, $do), [Adaptation::Smaller, Adaptation::Path, Adaptation::Support, Adaptation::Seated, Adaptation::Skip]);
    expect(advised(CareRule::of(new Spared([Consideration::Knee]), [...$cautions, new Caution(Consideration::Neck, Adaptation::Skip)])))
        ->toBe(['skip knee', 'seated knee', 'support knee', 'path knee', 'smaller knee'])
        ->and(CareRule::of(new Spared([Consideration::Wrist]), $cautions))->toBe([]);
});

test('a caution of one way of doing it is of that way, and comes after those of every way', function () {
    $advice = CareRule::of(new Spared([Consideration::LowerBack]), [new Caution(Consideration::LowerBack, Adaptation::Smaller)], [], ['The hang' => [new Caution(Consideration::LowerBack, Adaptation::Skip)], 'The slow roll' => []]);
    expect(advised($advice))->toBe(['smaller lower_back', 'skip lower_back The hang']);
});

test('what strains and has no caution is named, once a consideration, and not where a caution says what to do', function () {
    $strains = [Strain::DeepBend, Strain::FastTurn];
    expect(advised(CareRule::of(new Spared([Consideration::Knee, Consideration::Hip, Consideration::Wrist]), [], $strains)))->toBe(['ask knee deep_bend+fast_turn', 'ask hip deep_bend'])
        ->and(advised(CareRule::of(new Spared([Consideration::Knee, Consideration::Hip]), [new Caution(Consideration::Knee, Adaptation::Smaller)], $strains)))->toBe(['smaller knee', 'ask hip deep_bend']);
});

test('careful tonight is smaller with support everywhere, a first time smaller', function () {
    expect((new Spared([], isCareful: true))->everywhere())->toBe([Adaptation::Support, Adaptation::Smaller])
        ->and((new Spared([], isFirstTime: true))->everywhere())->toBe([Adaptation::Smaller])
        ->and((new Spared([Consideration::Knee]))->everywhere())->toBe([])
        ->and((new Spared([]))->isNothing())->toBeTrue()
        ->and(advised(CareRule::of(new Spared([], isFirstTime: true), [new Caution(Consideration::FirstTime, Adaptation::Support)])))->toBe(['support first_time']);
});

test('a consideration holds from its first day to its last, both of them, or for good', function () {
    $knee = new StudentConsideration(Consideration::Knee, BodySide::Left, '2026-11-01', '2026-11-25');
    expect(array_map($knee->holdsOn(...), ['2026-10-31', '2026-11-01', '2026-11-25', '2026-11-26']))->toBe([false, true, true, false])
        ->and((new StudentConsideration(Consideration::Knee))->holdsOn('1900-01-01'))->toBeTrue()
        ->and(Spared::on('2026-11-26', [$knee])->isNothing())->toBeTrue()
        ->and(Spared::on('2026-11-25', [$knee, $knee, new StudentConsideration(Consideration::Other)]))->considerations->toBe([Consideration::Knee, Consideration::Other])
        ->and(Spared::on('2026-11-25', [$knee, new StudentConsideration(Consideration::RecentSurgery)])->asked())->toBe([Consideration::RecentSurgery])
        // Noted as a consideration, a first time is the same as noted at the door.
        ->and(Spared::on('2026-11-25', [new StudentConsideration(Consideration::FirstTime)])->everywhere())->toBe([Adaptation::Smaller]);
});

test('one that ended before it began, an unknown one and a wrong day are refused at their place; a side only where a body has two', function () {
    $read = fn (array $data) => StudentConsideration::read(JsonNode::parse((string) json_encode($data)));
    expect(Said::refused(fn () => $read(['what' => 'knee', 'since' => '2026-11-05', 'until' => '2026-11-04'])))->toContain('$.until', 'ends on 2026-11-04, before it began on 2026-11-05')
        ->and(Said::refused(fn () => $read(['what' => 'toe'])))->toContain('$.what')
        ->and(Said::refused(fn () => $read(['what' => 'knee', 'since' => '2026-02-30'])))->toContain('$.since')
        ->and($read(['what' => 'knee', 'side' => 'left', 'since' => '2026-11-05', 'until' => '2026-11-05'])->side)->toBe(BodySide::Left)
        ->and($read(['what' => 'dizziness', 'side' => 'left'])->side)->toBeNull()
        ->and($read(['what' => 'hip', 'side' => 'right', 'note' => 'n'])->toData())->toEqual((object) ['what' => 'hip', 'side' => 'right', 'note' => 'n']);
});

test('nothing a student spares is passed over in silence: each strain that asks of it is cautioned or named, and nobody else is told of it', function () {
    mt_srand(2711);
    for ($number = 0; $number < 300; $number++) {
        $some = fn (array $cases, int $of) => array_values(array_filter($cases, fn () => mt_rand(1, $of) === 1));
        $spared = new Spared(array_values(array_filter($some(Consideration::cases(), 4), fn (Consideration $one) => $one !== Consideration::FirstTime)));
        $strains = $some(Strain::cases(), 2);
        $cautions = array_map(fn (Consideration $for) => new Caution($for, Adaptation::cases()[mt_rand(0, 4)]), $some(Consideration::cases(), 4));
        $advice = CareRule::of($spared, $cautions, $strains);
        $ranks = [];
        foreach ($advice as $one) {
            expect($spared->has($one->for))->toBeTrue();
            $ranks[] = $one->do?->rank() ?? PHP_INT_MAX;
        }
        $sorted = $ranks;
        sort($sorted);
        expect($ranks)->toBe($sorted);
        foreach ($spared->considerations as $for) {
            $isAsked = array_filter($strains, fn (Strain $strain) => in_array($for, $strain->asksOf(), true)) !== [];
            $isCautioned = array_filter($cautions, fn (Caution $caution) => $caution->for === $for) !== [];
            $told = array_filter($advice, fn (CareAdvice $one) => $one->for === $for);
            expect($told !== [])->toBe($isAsked || $isCautioned)
                // Named as having no caution only where there is none.
                ->and(array_filter($told, fn (CareAdvice $one) => $one->do === null) !== [])->toBe($isAsked && ! $isCautioned);
        }
    }
});
