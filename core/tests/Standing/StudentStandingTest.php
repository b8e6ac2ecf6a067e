<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Memory\Standing;
use Gorvan\Core\Memory\Support;
use Gorvan\Core\Standing\EntryStanding;
use Gorvan\Core\Standing\StudentStanding;
use Gorvan\Core\Standing\Sureness;
use Gorvan\Core\Term\Passage;

/** P passes, A assumed, U unseen, C cued and recalled, n not met, o an opening or connector. */
function standing(string $row): StudentStanding
{
    $entries = $standings = [];
    foreach (str_split($row) as $at => $letter) {
        $entries[] = new Entry("e$at", $letter === 'o' ? EntryKind::Connector : EntryKind::Movement, "E$at");
        $standings[] = match ($letter) {
            'P' => new EntryStanding($at + 1, Support::Alone, 0.7),
            'H' => new EntryStanding($at + 1, Support::Flowing, 0.8),
            'A' => new EntryStanding($at + 1, null, 0.8),
            'U' => new EntryStanding($at + 1, null, 0.79),
            'C' => new EntryStanding($at + 1, Support::Cued, 0.95),
            default => new EntryStanding($at + 1, null, null),
        };
    }

    return new StudentStanding(new Form('T', $entries), $standings);
}

test('the frontier ends the longest passing run from the start, one gap of one forgiven', function (string $row, ?int $frontier) {
    expect(standing($row)->frontier())->toBe($frontier);
})->with([
    ['PPPnn', 3], ['PPnPPnP', 5], ['PPnnP', 2], ['nPPn', 3], ['nnPP', null], ['n', null], ['APHU', 3],
    ['PoPooPn', 6], ['PonPn', 4], ['PPn', 2], ['CPP', 3], ['oo', null],
]);

test('an entry holds from 0.8 and when last seen alone or better', function () {
    expect(standing('PHACU')->holding())->toBe([2])
        ->and(standing('A')->at(1)->isAssumed())->toBeTrue()
        ->and(standing('U')->at(1)->isAssumed())->toBeFalse()
        ->and((new EntryStanding(1, Support::Unmet, 0.9))->passes())->toBeFalse();
});

test('holes lie before the furthest passing entry, behind after it, missed were never met', function () {
    $standing = standing('PnPCnU');
    expect($standing->holes(range(1, 6)))->toBe([2])
        ->and($standing->behind(range(1, 6)))->toBe([4, 5, 6])
        ->and($standing->behind([1, 2, 3]))->toBe([])
        ->and($standing->missed(range(1, 6)))->toBe([2, 5]);
});

test('ready for a lesson is every entry of its recap cued or better, or assumed, and recalled', function () {
    expect(standing('PCAUn')->notReadyIn(new Passage(1, 5)))->toBe([4, 5])->and(standing('P')->notReadyIn(null))->toBe([]);
});

test('an entry kept per side stands where its weaker side stands', function () {
    $side = fn (?Support $support, float $recall) => new Standing($support, new MemoryState(1.0, 5.0), $recall, '2026-01-01', 1);
    $both = EntryStanding::of(1, ['left' => $side(Support::Flowing, 0.9), 'right' => $side(Support::Cued, 0.7)]);
    expect($both)->support->toBe(Support::Cued)->recall->toBe(0.7)
        ->and(EntryStanding::of(1, ['left' => $side(Support::Flowing, 0.9)])->isMet())->toBeFalse();
});

test('an entry stands by what was last seen, not by what is remembered alone', function (?Support $support, ?float $recall, bool $holds, bool $passes, bool $ready) {
    $entry = new EntryStanding(1, $support, $recall);
    expect([$entry->holds(), $entry->passes(), $entry->isReady()])->toBe([$holds, $passes, $ready]);
})->with([
    'flowing and fresh' => [Support::Flowing, 0.95, true, true, true],
    'alone at the edge of holding' => [Support::Alone, 0.8, true, true, true],
    'alone, fading' => [Support::Alone, 0.79, false, true, true],
    'alone at the edge of passing' => [Support::Alone, 0.6, false, true, true],
    'alone, long ago' => [Support::Alone, 0.59, false, false, false],
    'cued and fresh' => [Support::Cued, 0.95, false, false, true],
    'following and fresh' => [Support::Following, 0.95, false, false, false],
    'never seen, should hold' => [null, 0.8, false, true, true],
    'never seen, may not hold' => [null, 0.79, false, false, false],
    'never met' => [null, null, false, false, false],
]);

test('how sure we are follows the same two limits', function (?float $recall, ?Sureness $sureness) {
    expect((new EntryStanding(1, Support::Cued, $recall))->sureness())->toBe($sureness);
})->with([
    [null, null],
    [0.0, Sureness::Weak],
    [0.59, Sureness::Weak],
    [0.6, Sureness::Fading],
    [0.79, Sureness::Fading],
    [0.8, Sureness::Good],
]);
