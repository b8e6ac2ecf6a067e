<?php

declare(strict_types=1);

use Gorvan\Core\Form\Side;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\FactKind;
use Gorvan\Core\Record\IdReused;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Record;
use Gorvan\Core\Record\RecordFault;
use Gorvan\Core\Record\Subject;
use Gorvan\Core\Record\Support;
use Gorvan\Core\Record\UnknownTarget;
use Gorvan\Core\Record\WithdrawnInACircle;
use Gorvan\Core\Record\WithdrawnKind;

function seen(string $id, string $at, Support $support, ?Side $side = null, string $entry = 'a'): Fact
{
    return Fact::mark($id, Subject::entry($entry), Day::number($at), new DateTimeImmutable(strlen($at) > 10 ? $at : "{$at}T19:00:00Z"), $support, $side);
}

function met(string $id, string $at, FactKind $kind = FactKind::Taught, ?Side $side = null, string $entry = 'a'): Fact
{
    return Fact::contact($id, $kind, Subject::entry($entry), Day::number($at), new DateTimeImmutable(strlen($at) > 10 ? $at : "{$at}T20:00:00Z"), $side);
}

function withdrawn(string $id, string $of, string $at = '2026-03-01'): Fact
{
    return Fact::withdraw($id, $of, WithdrawnKind::Mark, Day::number($at), new DateTimeImmutable("{$at}T21:00:00Z"));
}

/** @return array<string, Tracks> */
function on(string $day, array $facts, bool $hasSides = false): array
{
    return (new Replay)->until(new Record($facts), Day::number($day), fn (): bool => $hasSides);
}

function recallOn(string $day, array $facts): ?float
{
    return (on($day, $facts)['a'] ?? null)?->whole?->recallOn(Day::number($day), new MemoryModel);
}

test('a replay in any arrival order gives the same standing', function () {
    $facts = [
        met('1', '2026-01-06'), seen('2', '2026-01-13', Support::Cued), met('3', '2026-01-20', FactKind::Practice),
        seen('4', '2026-01-27', Support::Alone), withdrawn('5', '2', '2026-01-13'),
    ];
    $straight = on('2026-02-01', $facts);
    mt_srand(7);
    for ($round = 0; $round < 20; $round++) {
        usort($facts, fn () => mt_rand(-1, 1));
        expect(on('2026-02-01', $facts))->toEqual($straight);
    }
    expect($straight['a']->whole)->level->toBe(Support::Alone)->updates->toBe(3)->last->toBe(Day::number('2026-01-27'));
});

test('one fact decides a day: a mark, then taught, then practice, then a run-through; the last mark, then the greater id', function () {
    $at = fn (string $time) => "2026-01-06T$time+00:00";
    $mark = on('2026-01-06', [seen('1', $at('19:00:00'), Support::Alone), met('2', $at('20:00:00'))])['a']->whole;
    $last = on('2026-01-06', [seen('1', $at('19:00:00'), Support::Alone), seen('0', $at('19:05:00'), Support::Following)])['a']->whole;
    $tie = on('2026-01-06', [seen('2', $at('19:00:00'), Support::Cued), seen('10', $at('19:00:00'), Support::Alone)])['a']->whole;
    expect($mark)->level->toBe(Support::Alone)->updates->toBe(1)
        ->and($last->level)->toBe(Support::Following)
        ->and($tie->level)->toBe(Support::Cued)
        ->and(recallOn('2026-01-13', [met('1', $at('21:00:00'), FactKind::Practice), met('2', $at('19:00:00'))]))->toEqualWithDelta(0.665, 5e-4)
        ->and(recallOn('2026-01-13', [met('1', $at('21:00:00'), FactKind::RunThrough), met('2', $at('19:00:00'), FactKind::Practice), met('3', '2026-01-01')]))
        ->toBe(recallOn('2026-01-13', [met('2', $at('19:00:00'), FactKind::Practice), met('3', '2026-01-01')]));
});

test('a run-through is practice with half the share later', function () {
    $weekly = fn (FactKind $later) => recallOn('2026-01-20', [met('1', '2026-01-06'), met('2', '2026-01-13', $later)]);
    expect(recallOn('2026-01-13', [met('1', '2026-01-06', FactKind::RunThrough)]))->toBe(recallOn('2026-01-13', [met('1', '2026-01-06', FactKind::Practice)]))
        ->and($weekly(FactKind::RunThrough))->toBeLessThan($weekly(FactKind::Practice));
});

test('whoever was there when it was taught is known to have been, also where a mark decides that day, and a withdrawal takes it back', function () {
    $was = fn (array $facts): bool => on('2026-02-01', $facts)['a']->whole->wasTaught;
    expect($was([met('1', '2026-01-06'), seen('2', '2026-01-06', Support::Following)]))->toBeTrue()
        ->and($was([met('1', '2026-01-06', FactKind::Before)]))->toBeTrue()
        ->and($was([met('1', '2026-01-06', FactKind::Practice), met('2', '2026-01-13', FactKind::Home), seen('3', '2026-01-20', Support::Alone)]))->toBeFalse()
        ->and($was([met('1', '2026-01-06'), met('2', '2026-01-13', FactKind::Practice), Fact::withdraw('3', '1', WithdrawnKind::Log, Day::number('2026-01-14'), new DateTimeImmutable('2026-01-14T21:00:00Z'))]))->toBeFalse();
    // Evenings in class are counted, home practice is not.
    expect(on('2026-02-01', [met('1', '2026-01-06', FactKind::Practice), met('2', '2026-01-08', FactKind::Home), seen('3', '2026-01-13', Support::Following)])['a']->whole->evenings())->toBe(2);
});

test('a mark Unmet says not yet: that day makes no update, also where contact was noted', function () {
    $alone = on('2026-01-07', [seen('1', '2026-01-06', Support::Unmet)])['a']->whole;
    $day = on('2026-01-20', [seen('1', '2026-01-06', Support::Unmet), met('2', '2026-01-06')])['a']->whole;
    $later = on('2026-01-20', [seen('0', '2026-01-01', Support::Alone), seen('1', '2026-01-06', Support::Unmet)])['a']->whole;
    expect($alone)->level->toBe(Support::Unmet)->state->toBeNull()->updates->toBe(0)
        ->and($day)->state->toBeNull()->updates->toBe(0)
        ->and($later)->level->toBe(Support::Unmet)->updates->toBe(1)->last->toBe(Day::number('2026-01-01'));
});

test('facts after the day are ignored, but a withdrawal counts whenever it was made', function () {
    $facts = [seen('1', '2026-01-06', Support::Alone), withdrawn('2', '1', '2026-01-08')];
    expect(on('2026-01-07', $facts))->toBe([])->and(on('2026-01-05', [seen('1', '2026-01-06', Support::Alone)]))->toBe([]);
});

test('a withdrawal can be withdrawn, wherever the instants stand', function () {
    [$mark, $gone, $again] = [seen('1', '2026-01-06', Support::Alone), withdrawn('2', '1', '2026-01-01'), withdrawn('3', '2', '2026-01-02')];
    expect(on('2026-02-01', [$gone, $mark]))->toBe([])->and(on('2026-02-01', [$again, $gone, $mark]))->toHaveKey('a');
});

test('the same fact twice is nothing, with other content it is refused', function () {
    $same = Fact::mark('1', Subject::entry('a'), Day::number('2026-01-06'), new DateTimeImmutable('2026-01-06T20:00:00+01:00'), Support::Alone);
    expect(on('2026-01-07', [seen('1', '2026-01-06', Support::Alone), $same])['a']->whole->updates)->toBe(1)
        ->and(fn () => on('2026-01-07', [$same, seen('1', '2026-01-06', Support::Alone, null, 'b')]))->toThrow(IdReused::class);
});

test('withdrawing the unknown, or in a circle, is refused', function (array $facts, string $refused) {
    expect(fn () => on('2026-02-01', $facts))->toThrow($refused);
})->with([
    [fn () => [withdrawn('1', 'x')], UnknownTarget::class],
    [fn () => [withdrawn('1', '2'), withdrawn('2', '1')], WithdrawnInACircle::class],
    [fn () => [withdrawn('1', 'x')], RecordFault::class],
]);

test('sides stand apart once a fact names one, and what names none counts for both', function () {
    $facts = [met('1', '2026-01-06'), seen('2', '2026-01-13', Support::Alone, Side::Left), met('3', '2026-01-06', entry: 'b')];
    $tracks = on('2026-01-20', $facts, true);
    expect($tracks['a']->areApart())->toBeTrue()
        ->and($tracks['a']->left->level)->toBe(Support::Alone)
        ->and($tracks['a']->right)->level->toBeNull()->updates->toBe(1)
        ->and($tracks['b']->areApart())->toBeFalse()
        ->and(on('2026-01-20', $facts)['a']->whole)->level->toBe(Support::Alone)->updates->toBe(2); // an entry without sides has one track
});

test('home practice moves recall, and is kept apart from what classes prove', function () {
    $track = on('2026-01-20', [met('1', '2026-01-06'), met('2', '2026-01-10', FactKind::Home), met('3', '2026-01-10', FactKind::Practice), met('4', '2026-01-15', FactKind::Home)])['a']->whole;
    $class = on('2026-01-20', [met('1', '2026-01-06'), met('3', '2026-01-10', FactKind::Practice)])['a']->whole;
    [$day, $model] = [Day::number('2026-01-20'), new MemoryModel];
    expect($track->recallOn($day, $model))->toBeGreaterThan($class->recallOn($day, $model))
        ->and($track->classRecallOn($day, $model))->toBe($class->recallOn($day, $model))
        ->and($track->updates)->toBe(3);
});

test('a principle is read on its own ladder, and a step of a drill leaves nothing in memory', function (Keeping $level, ?float $recall) {
    $fact = Fact::mark('1', Subject::principle('p'), 0, new DateTimeImmutable('1970-01-01T12:00:00Z'), $level);
    $step = Fact::mark('2', Subject::drillStep('s'), 0, new DateTimeImmutable('1970-01-01T12:00:00Z'), Support::Alone);
    $tracks = (new Replay)->until(new Record([$fact, $step]), 9, fn (): bool => false);
    $found = $tracks['principle:p']->whole->recallOn(7, new MemoryModel);
    expect($found === null ? null : round($found, 3))->toBe($recall)->and($tracks['drill_step:s']->whole)->level->toBe(Support::Alone)->state->toBeNull();
})->with([[Keeping::Unmet, null], [Keeping::Reminded, 0.665], [Keeping::Slow, 0.808], [Keeping::Stopped, 0.808], [Keeping::Throughout, 0.911]]);

test('on 300 random histories a replay that goes on from a checkpoint is the same to the last bit', function () {
    mt_srand(300);
    $replay = new Replay;
    for ($round = 0; $round < 300; $round++) {
        $facts = anyHistory($round);
        $record = new Record($facts);
        $hasSides = static fn (string $entry): bool => $entry !== 'a';
        $cut = mt_rand(-2, 62);
        $whole = $replay->until($record, 60, $hasSides);
        $going = $replay->until($record, $cut, $hasSides);
        foreach ($record->until(60) as $entry => $all) {
            $after = array_values(array_filter($all, static fn (Fact $fact): bool => $fact->day > $cut));
            if ($after !== []) {
                $going[$entry] = $replay->on($going[$entry] ?? Tracks::none(), $after, $hasSides($entry));
            }
        }
        ksort($going);
        ksort($whole);
        expect(var_export($going, true))->toBe(var_export($whole, true));
    }
});

/** Marks, contacts and practice on three entries over 60 days, late, doubled, withdrawn and withdrawn again. @return list<Fact> */
function anyHistory(int $seed): array
{
    $facts = [];
    $kinds = [FactKind::Taught, FactKind::Practice, FactKind::RunThrough, FactKind::Home];
    for ($n = 0; $n < mt_rand(1, 40); $n++) {
        [$day, $entry] = [mt_rand(0, 60), ['a', 'b', 'c'][mt_rand(0, 2)]];
        $at = (new DateTimeImmutable('@'.($day * 86400 + mt_rand(0, 3) * 3600)));
        $side = $entry === 'a' || mt_rand(0, 3) > 0 ? null : (mt_rand(0, 1) === 0 ? Side::Left : Side::Right);
        $facts[] = mt_rand(0, 1) === 0
            ? Fact::mark("$seed-$n", Subject::entry($entry), $day, $at, Support::from(mt_rand(0, 5)), $side)
            : Fact::contact("$seed-$n", $kinds[mt_rand(0, 3)], Subject::entry($entry), $day, $at, $side);
    }
    foreach (range(0, count($facts) - 1) as $n) {
        if (mt_rand(0, 5) === 0) {
            $facts[] = Fact::withdraw("$seed-w$n", "$seed-$n", WithdrawnKind::Mark, mt_rand(0, 90), new DateTimeImmutable('@0'));
            if (mt_rand(0, 2) === 0) {
                $facts[] = Fact::withdraw("$seed-x$n", "$seed-w$n", WithdrawnKind::Withdrawal, mt_rand(0, 90), new DateTimeImmutable('@0'));
            }
        }
        if (mt_rand(0, 7) === 0) {
            $facts[] = $facts[$n];
        }
    }
    shuffle($facts);

    return $facts;
}
