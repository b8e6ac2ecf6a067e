<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Memory\Track;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Record\Support;
use Gorvan\Core\Standing\EntryStanding;
use Gorvan\Core\Standing\NotReady;
use Gorvan\Core\Standing\NotReadyEntry;
use Gorvan\Core\Standing\Readiness;
use Gorvan\Core\Standing\StudentStanding;
use Gorvan\Core\Standing\Sureness;
use Gorvan\Core\Standing\Taught;
use Gorvan\Core\Standing\TrackStanding;

/** A track whose recall on day 7 is about so much. */
function track(?Support $support, ?float $recall, ?float $classRecall = null): Track
{
    $model = new MemoryModel;
    $state = function (float $wanted) use ($model): MemoryState {
        [$low, $high] = [1e-6, 1e6];
        for ($n = 0; $n < 200; $n++) {
            $middle = sqrt($low * $high);
            [$low, $high] = $model->recall(7, $middle) < $wanted ? [$middle, $high] : [$low, $middle];
        }

        return new MemoryState($high, 5.0);
    };

    return new Track($support, $recall === null ? null : $state($recall), $recall === null ? null : 0, $recall === null ? 0 : 1, $classRecall === null ? null : new Track($support, $state($classRecall), 0, 1));
}

function oneEntry(Tracks $tracks, bool $hasSides = false): EntryStanding
{
    return EntryStanding::of(1, $tracks, $hasSides, 7, new MemoryModel);
}

/**
 * P passes, H holds, A assumed, U unseen, F unseen and faded, C cued and recalled, u seen Unmet, n not met, o a connector, x an extra.
 *
 * @return array{Form, array<string, Tracks>}
 */
function noted(string $row): array
{
    $entries = $tracks = [];
    foreach (str_split($row) as $at => $letter) {
        $entries[] = new Entry("e$at", ['o' => EntryKind::Connector, 'x' => EntryKind::Extra][$letter] ?? EntryKind::Movement, "E$at");
        $track = match ($letter) {
            'P' => track(Support::Alone, 0.7),
            'H' => track(Support::Flowing, 0.8),
            'A' => track(null, 0.8),
            'U' => track(null, 0.79),
            'F' => track(null, 0.49),
            'C' => track(Support::Cued, 0.95),
            'u' => track(Support::Unmet, null),
            default => null,
        };
        if ($track !== null) {
            $tracks["e$at"] = Tracks::whole($track);
        }
    }

    return [new Form('T', $entries), $tracks];
}

function standing(string $row): StudentStanding
{
    [$form, $tracks] = noted($row);

    return StudentStanding::of($form, $tracks, 7, new MemoryModel);
}

test('the frontier ends the longest passing run from the start, one gap of one forgiven', function (string $row, ?int $frontier) {
    expect(standing($row)->frontier())->toBe($frontier);
})->with([
    ['PPPnn', 3], ['PPnPPnP', 5], ['PPnnP', 2], ['nPPn', 3], ['nnPP', null], ['n', null], ['APHU', 3],
    ['PoPooPn', 6], ['PonPn', 4], ['PPn', 2], ['CPP', 3], ['oo', null], ['xPxP', 4],
]);

test('holes lie before the furthest passing entry, behind after it; extras are none of them', function () {
    $standing = standing('PnPCnUux');
    expect($standing->holes(range(1, 8)))->toBe([2])
        ->and($standing->behind(range(1, 8)))->toBe([4, 5, 6, 7])
        ->and($standing->behind([1, 2, 3]))->toBe([])
        ->and($standing->missed(range(1, 8)))->toBe([2, 5, 6, 7])
        ->and(standing('PHACU')->holding())->toBe([2]);
});

test('what was missed is made up for by being taught it, by being seen Cued or better, or by three evenings', function (Track $track, bool $isMissed) {
    $form = new Form('T', [new Entry('a', EntryKind::Movement, 'A')]);
    expect(StudentStanding::of($form, ['a' => Tracks::whole($track)], 7, new MemoryModel)->missed([1]))->toBe($isMissed ? [1] : []);
})->with([
    'one evening of review, though it should still be there' => fn () => [new Track(null, new MemoryState(50.0, 5.0), 5, 1), true],
    'two' => fn () => [new Track(null, new MemoryState(50.0, 5.0), 5, 2), true],
    'three' => fn () => [new Track(null, new MemoryState(50.0, 5.0), 5, 3), false],
    'three, of which two at home' => fn () => [new Track(null, new MemoryState(50.0, 5.0), 5, 3, new Track(null, new MemoryState(9.0, 5.0), 1, 1)), true],
    'taught' => fn () => [new Track(null, new MemoryState(2.0, 5.0), 5, 1, null, true), false],
    'seen following' => fn () => [new Track(Support::Following, new MemoryState(2.0, 5.0), 5, 1), true],
    'seen cued' => fn () => [new Track(Support::Cued, new MemoryState(2.0, 5.0), 5, 1), false],
]);

test('ready has three answers, and says why', function (string $row, Readiness $readiness, array $why) {
    $standing = standing($row);
    [$form, $tracks] = noted($row);
    expect($standing->readiness(new Passage(1, strlen($row))))->toBe($readiness)
        ->and(StudentStanding::readinessIn($form, $tracks, new Passage(1, strlen($row)), 7, new MemoryModel))->toBe($readiness)
        ->and(array_map(fn (NotReadyEntry $one) => "{$one->entry->position} {$one->reason->value}", $standing->notReadyIn(new Passage(1, strlen($row)))))->toBe($why);
})->with([
    ['PCAH', Readiness::Ready, []],
    ['PU', Readiness::Look, ['2 not_seen']],
    ['PUn', Readiness::NotYet, ['2 not_seen', '3 never_met']],
    ['uF', Readiness::NotYet, ['1 following', '2 faded']],
    ['x', Readiness::Ready, []],
    ['Po', Readiness::NotYet, ['2 never_met']],
]);

test('without a recap nobody is asked to be ready', function () {
    expect(standing('n')->readiness(null))->toBeNull()->and(standing('n')->notReadyIn(null))->toBe([]);
});

test('a week after a lesson that nobody marked the group is to be looked at, not refused', function () {
    $model = new MemoryModel;
    $taught = new Track(null, $model->first(\Gorvan\Core\Memory\Evidence::taught()), 0, 1);
    expect(oneEntry(Tracks::whole($taught))->whole->readiness())->toBe(Readiness::Look);
});

test('an entry stands by what was last seen, not by what is remembered alone', function (?Support $support, ?float $recall, bool $holds, bool $passes, ?NotReady $reason) {
    $entry = new TrackStanding($support, $recall, $recall);
    expect([$entry->holds(), $entry->passes(), $entry->notReady()])->toBe([$holds, $passes, $reason]);
})->with([
    'flowing and fresh' => [Support::Flowing, 0.95, true, true, null],
    'alone at the edge of holding' => [Support::Alone, 0.8, true, true, null],
    'alone, fading' => [Support::Alone, 0.79, false, true, null],
    'alone at the edge of passing' => [Support::Alone, 0.6, false, true, null],
    'alone, long ago' => [Support::Alone, 0.59, false, false, NotReady::Fading],
    'cued and fresh' => [Support::Cued, 0.95, false, false, null],
    'cued, long ago' => [Support::Cued, 0.59, false, false, NotReady::Fading],
    'following and fresh' => [Support::Following, 0.95, false, false, NotReady::Following],
    'unmet, with contact before' => [Support::Unmet, 0.95, false, false, NotReady::Following],
    'unmet, and nothing else' => [Support::Unmet, null, false, false, NotReady::Following],
    'never seen, should hold' => [null, 0.8, false, true, null],
    'never seen, may not hold' => [null, 0.79, false, false, NotReady::NotSeen],
    'never seen, at the edge' => [null, 0.5, false, false, NotReady::NotSeen],
    'never seen, faded' => [null, 0.49, false, false, NotReady::Faded],
    'never met' => [null, null, false, false, NotReady::NeverMet],
]);

test('where nobody has looked, home practice proves nothing', function () {
    $athome = oneEntry(Tracks::whole(track(null, 0.9, 0.6)))->whole;
    $marked = oneEntry(Tracks::whole(track(Support::Alone, 0.9, 0.6)))->whole;
    expect([$athome->isAssumed(), $athome->passes(), $athome->readiness()])->toBe([false, false, Readiness::Look])
        ->and([$marked->holds(), $marked->passes()])->toBe([true, true]);
});

test('an entry done on both sides stands where its weaker side stands, in every verdict', function () {
    $sides = fn (?Track $left, ?Track $right) => oneEntry(Tracks::sides($left, $right), true);
    $flowing = track(Support::Flowing, 0.9);
    expect($sides($flowing, track(null, 0.9))->whole->holds())->toBeFalse() // right never seen
        ->and($sides($flowing, track(null, 0.9))->whole->passes())->toBeTrue() // but assumed
        ->and($sides($flowing, track(Support::Cued, 0.7))->whole)->support->toBe(Support::Cued)
        ->and($sides($flowing, null)->whole->isMet())->toBeFalse()
        ->and($sides($flowing, $flowing)->whole->holds())->toBeTrue()
        ->and($sides(track(null, 0.6), track(null, 0.9))->whole->readiness())->toBe(Readiness::Look);
    mt_srand(12);
    for ($round = 0; $round < 400; $round++) {
        $any = fn () => mt_rand(0, 5) === 0 ? null : track([null, ...Support::cases()][mt_rand(0, 6)], mt_rand(0, 9) === 0 ? null : mt_rand(30, 99) / 100, mt_rand(0, 3) === 0 ? 0.4 : null);
        [$left, $right] = [$any(), $any()];
        if ($left === null && $right === null) {
            continue;
        }
        $entry = $sides($left, $right);
        [$l, $r] = [$entry->left, $entry->right];
        expect([$entry->whole->holds(), $entry->whole->passes(), $entry->whole->readiness()])
            ->toBe([$l->holds() && $r->holds(), $l->passes() && $r->passes(), $l->readiness()->and($r->readiness())]);
    }
});

test('how sure we are follows the same two limits', function (?float $recall, ?Sureness $sureness) {
    expect((new TrackStanding(Support::Cued, $recall, $recall))->sureness())->toBe($sureness);
})->with([
    [null, null], [0.0, Sureness::Weak], [0.59, Sureness::Weak], [0.6, Sureness::Fading], [0.79, Sureness::Fading], [0.8, Sureness::Good],
]);

test('what was taught by a day is what classes up to it taught, extras left out', function () {
    $form = new Form('T', [new Entry('a', EntryKind::Movement, 'A'), new Entry('b', EntryKind::Extra, 'B'), new Entry('c', EntryKind::Closing, 'C')]);
    $taught = Taught::of([[20, ['c', 'gone']], [10, ['a', 'b']], [30, ['a']]]);
    expect($taught->by(9, $form))->toBe([])->and($taught->by(10, $form))->toBe([1])->and($taught->by(20, $form))->toBe([1, 3]);
});
