<?php

declare(strict_types=1);

use Gorvan\Core\Care\Adaptation;
use Gorvan\Core\Care\Consideration;
use Gorvan\Core\Care\Spared;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Memory\Track;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Practice\GroupSheet;
use Gorvan\Core\Practice\HomeCare;
use Gorvan\Core\Practice\HomeCourse;
use Gorvan\Core\Practice\HomeDay;
use Gorvan\Core\Practice\HomeStudent;
use Gorvan\Core\Practice\PracticeDays;
use Gorvan\Core\Practice\PracticeFile;
use Gorvan\Core\Practice\PracticeItem;
use Gorvan\Core\Practice\PracticePlanner;
use Gorvan\Core\Practice\PracticeRequest;
use Gorvan\Core\Practice\PracticeSheet;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\KnownEntry;
use Gorvan\Core\Tests\Said;
use Gorvan\Core\Tests\Sample;

function metEntry(float $stability, int $last, float $seconds = 60.0, float $weight = 1.0): PracticeItem
{
    return new PracticeItem(new KnownEntry(new MemoryState($stability, 6.0), $last), $seconds, $weight);
}

test('days of practice are spread over those strictly between the meetings', function () {
    expect(PracticeDays::between(100, 107, 4))->toBe([101, 102, 104, 105]) // six days between, four of them
        ->and(PracticeDays::between(100, 107, 1))->toBe([101])
        ->and(PracticeDays::between(100, 107, 9))->toBe([101, 102, 103, 104, 105, 106])
        ->and(PracticeDays::between(100, 102, 4))->toBe([101])
        ->and(PracticeDays::between(100, 101, 4))->toBe([]) // nothing lies between
        ->and(PracticeDays::between(100, 107, 0))->toBe([]);
    for ($gap = 1; $gap <= 30; $gap++) {
        for ($days = 0; $days <= 12; $days++) {
            $chosen = PracticeDays::between(0, $gap, $days);
            expect($chosen)->toBe(array_values(array_unique($chosen)))->and(count($chosen))->toBe(min($days, $gap - 1))
                ->and(array_filter($chosen, fn ($day) => $day <= 0 || $day >= $gap))->toBe([]);
        }
    }
});

test('what practice is worth is what it adds to recall at the next meeting, by the memory model day by day', function () {
    $model = new MemoryModel;
    $item = metEntry(3.0, 100);
    $state = $item->known->state;
    $last = 100;
    foreach ([101, 102, 104, 105] as $day) {
        $state = $model->later($state, $day - $last, Evidence::practised());
        $last = $day;
    }
    $plan = (new PracticePlanner)->plan(new PracticeRequest(100, 107, [$item]));
    expect($plan->passages)->toHaveCount(1)
        ->and($plan->passages[0]->recallWith)->toEqualWithDelta($model->recall(2, $state->stability), 1e-12)
        ->and($plan->passages[0]->recallWithout)->toEqualWithDelta($model->recall(7, 3.0), 1e-12)
        ->and($plan->value())->toEqualWithDelta($plan->passages[0]->recallWith - $plan->passages[0]->recallWithout, 1e-12)
        ->and($plan->minutes())->toBe(2.5); // twice a minute, and half a minute to begin
});

test('at most three passages within the minutes of a day, and the lead-in of the next lesson counts half as much again', function () {
    $apart = array_merge(...array_map(fn () => [metEntry(2.0, 100, 30.0), null], range(1, 6)));
    $many = (new PracticePlanner)->plan(new PracticeRequest(100, 107, $apart, 30.0));
    expect($many->passages)->toHaveCount(3)->and(array_map(fn ($one) => $one->passage->from, $many->passages))->toBe([1, 3, 5]);
    // What takes five minutes is practised once, and what takes a quarter of an hour as long as there is.
    $one = (new PracticePlanner)->plan(new PracticeRequest(100, 107, [metEntry(2.0, 100, 300.0), null, metEntry(2.0, 100, 300.0, PracticeItem::LEADS_ON)], 6.0));
    expect(array_map(fn ($one) => $one->passage->from, $one->passages))->toBe([3])->and($one->minutes())->toBe(5.5);
    $walk = (new PracticePlanner)->plan(new PracticeRequest(100, 107, [metEntry(2.0, 100, 900.0)], 10.0));
    expect($walk->passages)->toHaveCount(1)->and($walk->minutes())->toBe(10.0);
});

test('where no day lies between, no minute is given, or nothing was met, nothing is to be practised', function () {
    $items = [metEntry(2.0, 100), metEntry(2.0, 100)];
    foreach ([new PracticeRequest(100, 101, $items), new PracticeRequest(100, 107, $items, 0.0), new PracticeRequest(100, 107, $items, 10.0, 0), new PracticeRequest(100, 107, [null, null])] as $request) {
        expect((new PracticePlanner)->plan($request)->passages)->toBe([]);
    }
});

test('a school’s factor changes what is read of recall and never the memory', function () {
    $request = new PracticeRequest(100, 107, [metEntry(3.0, 100)]);
    $own = (new PracticePlanner)->plan($request)->passages[0];
    $read = (new PracticePlanner(new MemoryModel(2.0)))->plan($request)->passages[0];
    expect($read->recallWithout)->toEqualWithDelta((new MemoryModel(2.0))->read(7, 3.0), 1e-12)->toBeGreaterThan($own->recallWithout)
        ->and($read->recallWith)->toBeGreaterThan($own->recallWith);
});

test('a problem says where it is wrong', function (array $change, string $says) {
    $problem = [...['on' => '2026-11-25', 'next' => '2026-12-02', 'minutes' => 10, 'days' => 4, 'entries' => [['id' => 'a', 'state' => ['stability' => 3, 'difficulty' => 6, 'last' => '2026-11-25'], 'seconds' => 60, 'weight' => 1]]], ...$change];
    expect(Said::refused(fn () => PracticeFile::read(json_encode($problem))))->toBe($says);
})->with([
    [['next' => '2026-11-25'], '$.next: the next meeting, 2026-11-25, is not after the one before, 2026-11-25'],
    [['days' => -1], '$.days: must be between 0 and 366, not -1'],
    [['on' => '2026-11-24'], '$.entries[0].state.last: must not be later than 2026-11-24'],
    [['entries' => [['id' => 'a'], ['id' => 'a']]], '$.entries[1].id: "a" stands in this list twice.'],
]);

test('at home nobody does what they would leave out, and the reason stands nowhere', function () {
    $form = Sample::form([
        ['cautions' => [['for' => 'neck', 'do' => 'skip']]],
        ['cautions' => [['for' => 'knee', 'do' => 'smaller', 'text' => 'the bad knee'], ['for' => 'knee', 'do' => 'support']]],
        ['strains' => ['deep_bend']],
        ['variants' => [['title' => 'Low', 'cautions' => [['for' => 'knee', 'do' => 'skip']]]]],
        [],
    ]);
    $of = fn (int $at, Spared $spared) => HomeCare::of($spared, $form->at($at));
    $neck = new Spared([Consideration::Neck]);
    $knee = new Spared([Consideration::Knee]);
    expect($of(1, $neck)->isLeftOut)->toBeTrue()->and($of(1, $knee)->isLeftOut)->toBeFalse()
        ->and($of(2, $knee)->do)->toBe([Adaptation::Support, Adaptation::Smaller])->and($of(2, $neck)->do)->toBe([])
        ->and($of(3, $knee)->asks)->toBeTrue()->and($of(3, $neck)->asks)->toBeFalse()
        ->and($of(4, $knee)->notIn)->toBe(['Low'])->and($of(4, $knee)->isLeftOut)->toBeFalse()
        ->and($of(5, new Spared([], isFirstTime: true))->do)->toBe([Adaptation::Smaller])
        ->and($of(5, new Spared([Consideration::RecentSurgery]))->asks)->toBeTrue();
    // Nothing of what it carries is a consideration, or the text of a caution.
    $carried = json_encode(array_map(fn ($at) => $of($at, new Spared([Consideration::Knee, Consideration::Neck])), [1, 2, 3, 4, 5]));
    expect($carried)->not->toContain('knee')->not->toContain('neck')->not->toContain('bad');
});

test('somebody practises five to ten minutes a day and not on every day (common practice)', function () {
    expect(PracticeRequest::MINUTES)->toBeGreaterThanOrEqual(5.0)->toBeLessThanOrEqual(10.0)
        ->and(count(PracticeDays::between(Day::number('2026-11-25'), Day::number('2026-12-02'), PracticeRequest::DAYS)))->toBe(4);
});

test('a sheet goes over all forms of the term, leaves out what is left out at home, and says which side needs it more', function () {
    $long = Sample::form([[], ['cautions' => [['for' => 'neck', 'do' => 'skip']]], ['side' => 'both'], ['kind' => 'extra'], []]);
    $short = Sample::form([['title' => 'Lamp']]);
    $track = fn (float $stability) => new Track(null, new MemoryState($stability, 6.0), 100, 1);
    $whole = fn (float $stability) => Tracks::whole($track($stability));
    $courses = [
        new HomeCourse('long', $long, ['a' => $whole(3.0), 'b' => $whole(3.0), 'c' => Tracks::sides($track(9.0), $track(2.0)), 'e' => $whole(3.0)], ['e']),
        new HomeCourse('short', $short, ['a' => $whole(3.0)]),
    ];
    $sheet = PracticeSheet::of($courses, new Spared([Consideration::Neck]), 100, 107, 20.0, 4);
    expect(array_map(fn ($one) => [$one->course, $one->passage->from, $one->passage->to, $one->leadsOn], $sheet->passages))->toBe([['long', 1, 1, false], ['long', 3, 5, true], ['short', 1, 1, false]])
        ->and(array_map(fn ($one) => [$one->position, $one->weaker?->value], $sheet->passages[1]->entries))->toBe([[3, 'right'], [5, null]])
        ->and($sheet->minutes())->toBeLessThanOrEqual(20.0);
    // Nobody whose neck is well leaves anything out.
    expect(PracticeSheet::of($courses, new Spared([]), 100, 107, 20.0, 4)->passages[0]->passage)->toEqual(new Gorvan\Core\Form\Passage(1, 5));
});

test('a note counts for the day it claims, unless the clock was wrong', function () {
    expect(HomeDay::of(98, 100))->toBe(98)->and(HomeDay::of(100, 100))->toBe(100)->and(HomeDay::of(69, 100))->toBe(69)
        ->and(HomeDay::of(101, 100))->toBe(100) // a clock that runs fast
        ->and(HomeDay::of(68, 100))->toBe(100) // one that stood still
        ->and(HomeDay::of(0, 20000))->toBe(20000);
});

test('a sheet for all holds what is worth most to all of them together, and under it what is particular to each', function () {
    $form = Sample::form([['cautions' => [['for' => 'knee', 'do' => 'support']]], ['cautions' => [['for' => 'neck', 'do' => 'skip']]], [], []]);
    $whole = fn (float $stability) => Tracks::whole(new Track(null, new MemoryState($stability, 6.0), 100, 1));
    $of = fn (array $tracks, Consideration ...$spares) => new HomeStudent([new HomeCourse('c', $form, $tracks)], new Spared(array_values($spares)));
    $all = ['a' => $whole(3.0), 'b' => $whole(3.0), 'c' => $whole(3.0)];
    $sheet = GroupSheet::of(['ada' => $of($all, Consideration::Knee), 'bo' => $of($all, Consideration::Neck), 'cy' => $of(['a' => $whole(3.0), 'b' => $whole(3.0)])], 100, 107, 10.0, 4);
    expect(array_map(fn ($one) => [$one->passage->from, $one->passage->to], $sheet->passages))->toBe([[1, 3]]) // the fourth was met by nobody
        ->and(array_map(fn ($own) => array_map(fn ($one) => [$one->entry->position, $one->isMet, $one->entry->care->isLeftOut, $one->entry->care->do], $own), $sheet->particulars))->toBe([
            'ada' => [[1, true, false, [Adaptation::Support]]], 'bo' => [[2, true, true, [Adaptation::Skip]]], 'cy' => [[3, false, false, []]],
        ])
        ->and($sheet->passages[0]->entries[0]->care->do)->toBe([]); // what stands for all says nothing of one
});

test('together one student’s plan is their own, and an entry counts for as many as can practise it', function () {
    $items = [metEntry(3.0, 100), metEntry(9.0, 100), null, metEntry(2.0, 100)];
    $alone = (new PracticePlanner)->plan(new PracticeRequest(100, 107, $items));
    expect((new PracticePlanner)->together([new PracticeRequest(100, 107, $items)]))->toEqual($alone);
    // Two of three know the last, one the first: with minutes for one, it is the last.
    $requests = [new PracticeRequest(100, 107, [metEntry(3.0, 100), null, metEntry(3.0, 100)], 2.5), ...array_fill(0, 2, new PracticeRequest(100, 107, [null, null, metEntry(3.0, 100)], 2.5))];
    $together = (new PracticePlanner)->together($requests);
    expect(array_map(fn ($one) => $one->passage->from, $together->passages))->toBe([3])
        ->and($together->value())->toEqualWithDelta($together->passages[0]->recallWith - $together->passages[0]->recallWithout, 1e-12);
});
