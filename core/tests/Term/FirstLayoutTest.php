<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\RunTime;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Box;
use Gorvan\Core\Term\FirstLayout;
use Gorvan\Core\Term\KnownEntry;
use Gorvan\Core\Term\LayoutRequest;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\Passage;
use Gorvan\Core\Term\PlannedMeeting;
use Gorvan\Core\Term\ReviewList;
use Gorvan\Core\Term\TermMeeting;
use Gorvan\Core\Term\TermPlan;

function evenForm(int $count): Form
{
    return new Form('T', array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at", number: $at), range(1, $count)));
}

/** @param  list<array<int, KnownEntry>>  $roster */
function lay(int $entries = 40, int $meetings = 12, array $taught = [], array $roster = [], int $held = 0, int $minutes = 75): TermPlan
{
    $form = evenForm($entries);
    $dates = array_map(fn (int $week) => new TermMeeting((new DateTimeImmutable('2026-01-06'))->modify("+$week weeks")->format('Y-m-d'), $minutes, $week >= $held), range(0, $meetings - 1));

    return (new FirstLayout)->lay(new LayoutRequest($form, (new LessonCutter)->cut($form, 3.0), $dates, $taught, $roster, Approach::PieceByPiece));
}

test('lessons go in order, one a meeting; every fourth consolidates; two of twelve are kept in reserve', function () {
    $plan = lay();
    expect(array_map(fn (PlannedMeeting $one) => $one->kind->value[0], $plan->meetings))->toBe(str_split('lllclllcllrr'))
        ->and(array_values(array_filter(array_map(fn ($one) => $one->lessonNumber, $plan->meetings))))->toBe(range(1, 8))
        ->and($plan->warnings[0])->toContain('of 40');
});

test('a term of one meeting is all reserve', function () {
    expect(lay(meetings: 1)->meetings[0]->kind)->toBe(MeetingKind::Reserve);
});

test('meetings held stay as they were and the plan goes on after what was taught', function () {
    $plan = lay(taught: [1, 2, 3], held: 1);
    expect(array_keys($plan->meetings))->toBe(range(1, 11))->and($plan->meetings[1]->lesson?->from)->toBe(4);
});

test('every minute of every meeting is in a box', function () {
    foreach (lay(entries: 10)->meetings as $meeting) {
        expect(array_sum($meeting->boxes->all()))->toBe(75);
        $spare = $meeting->boxes->minutes(Box::Review) - ReviewList::total($meeting->review);
        expect($spare)->toBeGreaterThanOrEqual(0.0)->toBeLessThan(3.0);
    }
});

test('spare minutes are said in so many words', function () {
    expect(implode(' ', lay()->meetings[0]->notes))->toContain('go to a longer run-through');
});

test('what is weakest is reviewed first, in passages, with the whole roster counted', function () {
    $known = fn (float $stability) => new KnownEntry(new MemoryState($stability, 6.0), '2026-01-01');
    $strong = array_fill_keys(range(1, 9), $known(60.0));
    $roster = [$strong, array_replace($strong, [4 => $known(1.0), 5 => $known(1.0)])];
    $plan = lay(taught: range(1, 9), roster: $roster, minutes: 45);
    expect($plan->meetings[0]->review[0]->passage)->toEqual(new Passage(4, 5))
        ->and($plan->meetings[0]->review[0]->meanRecall)->toBeLessThan(0.95);
});

test('the plan forecasts more recall after review than before it', function () {
    $plan = lay();
    expect($plan->meetings[3]->recallAfter)->toBeGreaterThan($plan->meetings[2]->recallAfter)
        ->and($plan->meetings[0]->recallAfter)->toEqualWithDelta(0.665, 5e-4); // taught, a week later: worked example
});

test('three passes of six known entries take about four minutes (common practice)', function () {
    $items = (new ReviewList(new RunTime(evenForm(6))))->fill(6, array_fill_keys(range(1, 6), 0.8));
    expect($items)->toHaveCount(1)->and($items[0]->minutes - ReviewList::SET_UP_MINUTES)->toEqualWithDelta(3.6, 1e-9);
});

test('positions are covered by the fewest passages', function () {
    expect(Passage::covering([5, 1, 2, 2, 7, 6]))->toEqual([new Passage(1, 2), new Passage(5, 7)]);
});
