<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\FirstLayout;
use Gorvan\Core\Term\KnownEntry;
use Gorvan\Core\Term\LayoutCourse;
use Gorvan\Core\Term\LayoutRequest;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\ReviewList;
use Gorvan\Core\Term\TermMeeting;
use Gorvan\Core\Term\TermPlan;
use Gorvan\Core\Tests\Said;

function evenForm(int $count, array $extras = []): Form
{
    return new Form('T', array_map(fn (int $at) => new Entry("e$at", in_array($at, $extras, true) ? EntryKind::Extra : EntryKind::Movement, "E$at", number: $at), range(1, $count)));
}

function courseOf(Form $form, string $id = 'c', float $share = 1.0): Course
{
    return new Course($id, $form, new Passage(1, $form->count()), Approach::PieceByPiece, $share);
}

/** @param  list<array<int, KnownEntry>>  $roster */
function lay(int $entries = 40, int $meetings = 12, array $taught = [], array $roster = [], int $held = 0, int $minutes = 75, array $gaps = [], ?Form $form = null): TermPlan
{
    $form ??= evenForm($entries);
    $day = Day::number('2026-01-06');
    $dates = [];
    for ($at = 0; $at < $meetings; $at++) {
        $day += $at === 0 ? 0 : ($gaps[$at] ?? 7);
        $dates[] = new TermMeeting(Day::text($day), $minutes, $at >= $held);
    }

    return (new FirstLayout)->lay(new LayoutRequest($dates, [new LayoutCourse(courseOf($form), (new LessonCutter)->cut($form, 3.0), $taught, $roster)]));
}

/** What the first course of a meeting says. */
function part(MeetingPlan $meeting): Gorvan\Core\Term\CoursePlan
{
    return $meeting->courses[0];
}

test('lessons go in order, one a meeting; every fourth consolidates; two of twelve are kept in reserve', function () {
    $plan = lay();
    expect(array_map(fn (MeetingPlan $one) => $one->kind->value[0], $plan->meetings))->toBe(str_split('lllclllcllrr'))
        ->and(array_values(array_filter(array_map(fn ($one) => part($one)->lesson?->number, $plan->meetings))))->toBe(range(1, 8))
        ->and(Said::all($plan->warnings))->toContain('of 40');
});

test('a term of one meeting has no reserve', function () {
    expect(lay(meetings: 1)->meetings[0]->kind)->toBe(MeetingKind::Lesson);
});

test('the first evening after a break brings nothing new, and the lesson comes the next time', function () {
    $plan = lay(gaps: [2 => 21]);
    $usual = lay(gaps: [1 => 15, 2 => 15, 3 => 15, 4 => 15, 5 => 15]);
    expect([part($plan->meetings[1])->lesson?->number, part($plan->meetings[2])->lesson, part($plan->meetings[4])->lesson?->number])->toBe([2, null, 3])
        ->and(part(lay(gaps: [2 => 14])->meetings[2])->lesson?->number)->toBe(3)
        ->and(part($usual->meetings[2])->lesson?->number)->toBeNull() // 15 days are longer than 14, and than half as much again as 7
        ->and(part(lay(gaps: array_fill(1, 11, 15))->meetings[2])->lesson?->number)->toBe(3); // but not where 15 are usual
});

test('new material comes with its recap, from what was taught before it', function () {
    foreach (lay()->meetings as $at => $meeting) {
        $lesson = part($meeting)->lesson;
        if ($lesson !== null && $at > 0) {
            expect(part($meeting)->recap)->not->toBe([])->and((int) substr(array_reverse(part($meeting)->recap)[0], 1))->toBe((int) substr($lesson->entries[0], 1) - 1);
        }
    }
    expect(part(lay()->meetings[0])->recap)->toBe([]);
});

test('meetings held stay as they were and the plan goes on after what was taught', function () {
    $plan = lay(taught: [1, 2, 3], held: 1);
    expect(array_keys($plan->meetings))->toBe(range(1, 11))->and(part($plan->meetings[1])->lesson?->entries[0])->toBe('e4');
});

test('every minute of every meeting is in a box', function () {
    foreach (lay(entries: 10)->meetings as $meeting) {
        expect(array_sum($meeting->boxes))->toBe(75);
        $spare = $meeting->boxes['review'] - ReviewList::total(part($meeting)->review);
        expect($spare)->toBeGreaterThanOrEqual(0.0)->toBeLessThan(3.0);
    }
});

test('spare minutes are said in so many words', function () {
    expect(Said::all(lay()->meetings[0]->notes))->toContain('go to a longer run-through');
});

test('what is weakest is reviewed first, in passages, with the whole roster counted', function () {
    $known = fn (float $stability) => new KnownEntry(new MemoryState($stability, 6.0), Day::number('2026-01-01'));
    $strong = array_fill_keys(range(1, 9), $known(60.0));
    $roster = [$strong, array_replace($strong, [4 => $known(1.0), 5 => $known(1.0)])];
    $first = part(lay(taught: range(1, 9), roster: $roster, minutes: 20)->meetings[0])->review[0];
    expect($first->entries)->toBe(['e4', 'e5'])->and($first->why['recall'])->toBeLessThan(0.95);
});

test('the plan forecasts more recall after review than before it', function () {
    $forecast = fn (int $at) => part(lay()->meetings[$at])->forecast?->recall;
    expect($forecast(3))->toBeGreaterThan($forecast(2))->and($forecast(0))->toEqualWithDelta(0.665, 5e-4); // taught, a week later: worked example
});

test('extras count for nothing: not taught, not reviewed, not run through, no lead-in', function () {
    $plan = lay(form: evenForm(12, [2, 5, 6]));
    foreach ($plan->meetings as $meeting) {
        foreach ([part($meeting)->recap, part($meeting)->runThrough, ...array_map(fn ($one) => $one->entries, part($meeting)->review)] as $ids) {
            expect(array_intersect($ids, ['e2', 'e5', 'e6']))->toBe([]);
        }
    }
    expect(part($plan->meetings[11])->forecast?->taught)->toBe(9)->and($plan->warnings)->toBe([]);
});

test('two courses go side by side, each in its share', function () {
    $meetings = array_map(fn (int $week) => new TermMeeting(Day::text(Day::number('2026-01-06') + 7 * $week), 75, true), range(0, 11));
    [$long, $short] = [evenForm(40), evenForm(9)];
    $plan = (new FirstLayout)->lay(new LayoutRequest($meetings, [
        new LayoutCourse(courseOf($long, 'long', 0.7), (new LessonCutter)->cut($long, 2.0), [], []),
        new LayoutCourse(courseOf($short, 'short', 0.3), (new LessonCutter)->cut($short, 1.0), [], []),
    ]));
    foreach ($plan->meetings as $meeting) {
        expect(array_sum($meeting->boxes))->toBe(75)->and(array_map(fn ($course) => $course->course, $meeting->courses))->toBe(['long', 'short']);
    }
    expect($plan->meetings[0]->course('short')?->lesson?->entries)->toBe(['e1'])->and($plan->warnings)->toHaveCount(2);
});

test('three passes of six known entries take about four minutes (common practice)', function () {
    $items = (new ReviewList(evenForm(6)))->fill(6, array_fill_keys(range(1, 6), 0.8));
    expect($items)->toHaveCount(1)->and($items[0]->minutes - ReviewList::SET_UP_MINUTES)->toEqualWithDelta(3.6, 1e-9);
});

test('positions are covered by the fewest passages', function () {
    expect(Passage::covering([5, 1, 2, 2, 7, 6]))->toEqual([new Passage(1, 2), new Passage(5, 7)]);
});
