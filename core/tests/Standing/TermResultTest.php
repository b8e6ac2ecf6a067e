<?php

declare(strict_types=1);

use Gorvan\Core\Form\Passage;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Track;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Support;
use Gorvan\Core\Standing\Attendance;
use Gorvan\Core\Standing\Fading;
use Gorvan\Core\Standing\GroupResult;
use Gorvan\Core\Standing\KeepingResult;
use Gorvan\Core\Standing\KeepingStanding;
use Gorvan\Core\Standing\StudentStanding;
use Gorvan\Core\Standing\TermResult;
use Gorvan\Core\Tests\Sample;

beforeEach(function () {
    // a connector stands between the second and the third movement, and an opening before the first
    $this->form = Sample::form([['kind' => 'opening'], [], [], ['kind' => 'connector'], [], [], [], []]);
    $this->model = new MemoryModel;
    $this->seen = fn (Support $level, int $day) => Tracks::whole(new Track($level, $this->model->first(Evidence::ofMark($level)), $day, 1, null, true));
    $this->standing = fn (array $tracks) => StudentStanding::of($this->form, $tracks, 100, $this->model);
    $this->spans = fn (array $passages) => array_map(static fn (Passage $one) => [$one->from, $one->to], $passages);
});

test('every movement that was taught is in exactly one of what holds, nearly holds, is open and was missed', function () {
    $tracks = ['b' => ($this->seen)(Support::Alone, 99), 'c' => ($this->seen)(Support::Flowing, 99), 'e' => ($this->seen)(Support::Alone, 99), 'f' => ($this->seen)(Support::Cued, 99), 'g' => ($this->seen)(Support::Following, 99)];
    $standing = ($this->standing)($tracks);
    $result = TermResult::of($this->form, $standing, [1, 2, 3, 4, 5, 6, 7, 8], Fading::of($this->form, $tracks, $standing, $this->model));
    // The connector parts nothing: 2 to 5 are three movements in a row.
    expect(($this->spans)($result->holds))->toBe([[2, 5]])
        ->and(($this->spans)($result->nearly))->toBe([[6, 6]])
        ->and(($this->spans)($result->open))->toBe([[7, 7]])
        ->and(($this->spans)($result->missed))->toBe([[8, 8]])
        ->and([$result->holding, $result->taught])->toBe([3, 6])
        // What would slip first comes first: seen Alone falls sooner than seen Flowing.
        ->and($result->keep)->toBe([2, 5, 3]);
});

test('what was not taught yet is not spoken of, whatever somebody knows of it', function () {
    $tracks = ['b' => ($this->seen)(Support::Alone, 99), 'c' => ($this->seen)(Support::Alone, 99)];
    $standing = ($this->standing)($tracks);
    $result = TermResult::of($this->form, $standing, [1, 2], Fading::of($this->form, $tracks, $standing, $this->model));
    expect(($this->spans)($result->holds))->toBe([[2, 2]])->and($result->keep)->toBe([2])->and([$result->holding, $result->taught])->toBe([1, 1]);
});

test('a group is told what holds for at least half of them, what wants more time, and what comes next; nobody is named', function () {
    $holds = ($this->standing)(['b' => ($this->seen)(Support::Alone, 99), 'c' => ($this->seen)(Support::Alone, 99)]);
    $half = ($this->standing)(['b' => ($this->seen)(Support::Alone, 99), 'c' => ($this->seen)(Support::Cued, 99)]);
    $none = ($this->standing)([]);
    $result = GroupResult::of($this->form, [$holds, $half, $none], [1, 2, 3], [[1, 2, 3], [4, 5], [6, 7, 8]]);
    expect(($this->spans)($result->firm))->toBe([[2, 2]])->and(($this->spans)($result->more))->toBe([[3, 3]])
        ->and(round($result->holding, 6))->toBe(1.0)->and([$result->taught, $result->movements])->toBe([2, 6])
        ->and([$result->next?->from, $result->next?->to])->toBe([4, 5]);
    // A lesson that was given in part is what comes next, from where it stopped.
    $next = GroupResult::of($this->form, [], [1, 2, 3, 4, 5, 6], [[1, 2, 3], [4, 5], [6, 7, 8]])->next;
    expect([$next?->from, $next?->to])->toBe([7, 8])
        ->and(GroupResult::of($this->form, [], range(1, 8), [[1, 2, 3], [4, 5], [6, 7, 8]])->next)->toBeNull()
        ->and(GroupResult::of($this->form, [], [2], [])->firm)->toBe([]);
});

test('nobody was away from a class before they joined, and whoever came as a guest was there', function () {
    $classes = [['2026-01-06', ['a']], ['2026-01-13', ['b', 'old']], ['2026-01-20', ['a', 'b']], ['2026-01-27', []]];
    $one = Attendance::of($classes, ['b', 'old'], '2026-01-20');
    expect($one->each)->toBe([null, true, true, false])->and([$one->came(), $one->classes()])->toBe([2, 3])
        ->and(Attendance::of([], ['b'], '2026-01-20')->classes())->toBe(0);
});

test('of principles the weakest that was worked on is carried on, and a group carries what most of its students do', function () {
    $kept = fn (Keeping $level, int $day) => KeepingStanding::of(new Track($level, $this->model->first(Evidence::ofMark($level) ?? throw new LogicException), $day, 1), 100, $this->model);
    $none = KeepingStanding::of(null, 100, $this->model);
    $one = KeepingResult::of(['a' => $kept(Keeping::Throughout, 99), 'b' => $kept(Keeping::Slow, 80), 'c' => $kept(Keeping::Reminded, 80), 'd' => $none]);
    expect([$one->holds, $one->carry])->toBe([['a'], 'c'])
        ->and(KeepingResult::of(['a' => $none])->carry)->toBeNull();
    $two = KeepingResult::of(['a' => $kept(Keeping::Slow, 80), 'b' => $none, 'c' => $none, 'd' => $none]);
    $all = KeepingResult::together([$one, $two, KeepingResult::of(['a' => $kept(Keeping::Slow, 80)])]);
    expect([$all->holds, $all->carry])->toBe([[], 'a'])
        ->and(KeepingResult::together([$one, $two])->holds)->toBe(['a'])
        ->and(KeepingResult::together([])->carry)->toBeNull();
});
