<?php

declare(strict_types=1);

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Track;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Record\Support;
use Gorvan\Core\Standing\CatchUp;
use Gorvan\Core\Standing\Lacking;
use Gorvan\Core\Standing\LessonTaken;
use Gorvan\Core\Standing\Pods;
use Gorvan\Core\Standing\StudentStanding;
use Gorvan\Core\Tests\Sample;

test('pods keep those together who stand near each other, three at least', function () {
    expect(Pods::split(['a' => 10, 'b' => 1, 'c' => 2, 'd' => 11, 'e' => 3, 'f' => 12]))->toBe([['b', 'c', 'e'], ['a', 'd', 'f']])
        // One far ahead does not make a pod of one.
        ->and(Pods::split(['a' => 1, 'b' => 1, 'c' => 1, 'd' => 1, 'e' => 1, 'f' => 90]))->toBe([['a', 'b', 'c'], ['d', 'e', 'f']])
        ->and(Pods::split(['a' => 0, 'b' => 5, 'c' => 9], 3))->toBe([['a', 'b', 'c']])
        ->and(Pods::split(['a' => 3, 'b' => 1]))->toBe([['b', 'a']])
        ->and(Pods::split([]))->toBe([])
        ->and(array_map(count(...), Pods::split(array_combine(range('a', 'i'), range(1, 9)), 3)))->toBe([3, 3, 3]);
});

test('of equal splits the one that cuts earlier is taken', function () {
    // 0 0 0 5 10 10 10: the one in the middle may go with either.
    expect(Pods::split(['a' => 0, 'b' => 0, 'c' => 0, 'd' => 5, 'e' => 10, 'f' => 10, 'g' => 10]))->toBe([['a', 'b', 'c'], ['d', 'e', 'f', 'g']]);
});

test('what to catch up with comes in the order it is needed, then by what is least recalled, then by place', function () {
    $model = new MemoryModel;
    $track = fn (Support $level, int $day) => Tracks::whole(new Track($level, $model->first(Evidence::ofMark($level)), $day, 1));
    $standing = StudentStanding::of(Sample::form(array_fill(0, 8, [])), [
        'a' => $track(Support::Alone, 95), 'b' => $track(Support::Following, 90), 'd' => $track(Support::Cued, 60), 'e' => $track(Support::Cued, 99), 'h' => $track(Support::Alone, 99),
    ], 100, $model);
    $form = Sample::form(array_fill(0, 8, []));
    $list = CatchUp::of($form, $standing, range(1, 8), new Passage(6, 7), [2, 3]);
    $kinds = fn (CatchUp $one): string => implode(' ', array_map(fn (Lacking $each) => "{$each->entry->position} {$each->kind->value}", $one->lacking));
    // Two breaths of six seconds, three times: 36 s each, and a minute and a half to set up.
    expect(array_map(fn (CatchUp $one) => [$one->passage->from, $one->passage->to, $one->need->value, $kinds($one), $one->minutes], $list))->toBe([
        [6, 7, 'recap', '6 missed 7 missed', 3],
        [2, 3, 'review', '2 missed 3 missed', 3],
        [4, 5, 'later', '4 hole 5 hole', 3],
    ])
        ->and(CatchUp::minutesOf($list))->toBe(9)
        // Nothing is missing only where all three are empty.
        ->and(CatchUp::of($form, StudentStanding::of($form, ['a' => $track(Support::Cued, 99)], 100, $model), [1], null, []))->toHaveCount(1)
        ->and(CatchUp::of($form, $standing, [1], null, []))->toBe([]);
});

test('a lesson has taken where half of the group holds each movement of it that was given', function () {
    $model = new MemoryModel;
    $holds = fn (string ...$ids) => array_map(fn () => Tracks::whole(new Track(Support::Alone, $model->first(Evidence::ofMark(Support::Alone)), 100, 1)), array_flip($ids));
    $form = Sample::form([[], [], ['kind' => 'connector'], [], [], []]);
    $group = array_map(fn (array $tracks) => StudentStanding::of($form, $tracks, 100, $model), [$holds('a', 'b', 'd'), $holds('a', 'd'), $holds('b', 'a'), $holds()]);
    $taken = LessonTaken::of($form, [1 => new Passage(1, 3), 2 => new Passage(4, 5), 3 => new Passage(6, 6)], $group, [1, 2, 3, 4]);
    expect(array_map(fn (LessonTaken $one) => [$one->number, $one->share, $one->hasTaken()], $taken))->toBe([[1, 0.5, true], [2, 0.5, true]])
        ->and(LessonTaken::of($form, [7 => new Passage(4, 5)], $group, [4, 5])[0]->hasTaken())->toBeFalse()
        ->and(LessonTaken::of($form, [new Passage(1, 3)], [], [1]))->toBe([]);
});
