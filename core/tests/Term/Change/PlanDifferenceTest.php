<?php

declare(strict_types=1);

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Term\Change\DraftMeeting;
use Gorvan\Core\Term\Change\PlanDifference;
use Gorvan\Core\Term\Change\PlanView;
use Gorvan\Core\Term\CourseForecast;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\MeetingState;
use Gorvan\Core\Term\ShowingForecast;
use Gorvan\Core\Tests\Said;

/**
 * What one meeting holds, by course: numbers of its lessons and entries of its review.
 *
 * @param  array<string, array{list<int>, list<list<string>>}>  $courses
 */
function evening(string $on, array $courses, string $kind = 'lesson'): MeetingPlan
{
    $parts = [];
    foreach ($courses as $course => [$numbers, $review]) {
        $lessons = array_map(fn (int $number) => ['entries' => ["n$number"], 'kind' => 'new', 'number' => $number], $numbers);
        $parts[] = array_filter(['course' => $course, 'lesson' => $lessons[0] ?? null, 'further' => array_slice($lessons, 1) ?: null, 'review' => array_map(fn (array $entries) => ['entries' => $entries, 'passes' => 3, 'minutes' => 4, 'value' => 1], $review)], fn ($one) => $one !== null);
    }

    return MeetingPlan::read(JsonNode::of(json_decode((string) json_encode(['format' => 'gorvan.plan/1', 'on' => $on, 'minutes' => 60, 'kind' => $kind, 'boxes' => [], 'courses' => $parts])), '$'));
}

function outlook(string $course, float $expected, ?ShowingForecast $showing = null, array $left = [1, 2, 3, 4, 5]): CourseForecast
{
    return new CourseForecast($course, 20_500, 4, 4, 3, $expected, 0.8, [], [], $left, $showing, []);
}

/**
 * Three Tuesdays with lessons 1, 2 and nothing new.
 *
 * @param  array<string, mixed>  $b  changes of the second meeting
 * @param  array<string, MeetingPlan>  $plans
 * @param  list<CourseForecast>  $forecasts
 */
function planned(array $b = [], array $plans = [], ?array $forecasts = null): PlanView
{
    return new PlanView(
        [new DraftMeeting('a', '2026-01-06', '19:00', 60), (new DraftMeeting('b', '2026-01-13', '19:00', 60))->with($b), new DraftMeeting('c', '2026-01-20', '19:00', 60)],
        [...['a' => evening('2026-01-06', ['long' => [[1], []]]), 'b' => evening('2026-01-13', ['long' => [[2], [['n1']]]]), 'c' => evening('2026-01-20', ['long' => [[], [['n1', 'n2']]]], 'consolidation')], ...$plans],
        $forecasts ?? [outlook('long', 3.0)],
    );
}

function moved(PlanView $is, ?PlanView $was = null, array $titles = []): string
{
    return Said::all(PlanDifference::between($was ?? planned(), $is, $titles));
}

test('where nothing moved nothing is said', function () {
    expect(PlanDifference::between(planned(), planned()))->toBe([]);
});

test('a meeting that moves takes its lesson along, and says so once', function () {
    expect(moved(planned(['on' => '2026-01-15'])))->toBe('The meeting of 2026-01-13 moves to 2026-01-15.');
});

test('a lesson that goes to another evening, to the next term, or into this one', function () {
    $to = planned(plans: ['b' => evening('2026-01-13', ['long' => [[], [['n1']]]], 'consolidation'), 'c' => evening('2026-01-20', ['long' => [[2], [['n1', 'n2']]]])]);
    expect(moved($to))->toBe("lesson 2 moves from 2026-01-13 to 2026-01-20.\n2026-01-13 brings nothing new now.")
        ->and(moved(planned(), $to))->toBe("lesson 2 moves from 2026-01-20 to 2026-01-13.\n2026-01-20 brings nothing new now.");
    $left = planned(plans: ['b' => evening('2026-01-13', ['long' => [[], [['n1']]]], 'reserve')]);
    expect(moved($left))->toBe("lesson 2 goes to the next term.\n2026-01-13 is kept free now.")
        ->and(moved(planned(), $left))->toBe('lesson 2 comes on 2026-01-13.');
});

test('a lesson that was taught meanwhile, with whatever other, goes nowhere', function () {
    $done = planned(plans: ['b' => evening('2026-01-13', ['long' => [[], [['n1']]]], 'consolidation')], forecasts: [outlook('long', 3.0, null, [3])]);
    expect(moved($done))->toBe('2026-01-13 brings nothing new now.');
});

test('a showing whose evening falls out says so', function () {
    $was = planned(forecasts: [outlook('long', 3.0, new ShowingForecast(0.9, 0.8, 1, Day::number('2026-02-03')))]);
    expect(moved(planned(['state' => MeetingState::Cancelled]), $was))->toContain('falls out with its evening: choose another day');
});

test('an evening that is off gives up its lesson, with its reason; and takes place after all', function () {
    $off = planned(['state' => MeetingState::Cancelled, 'reason' => 'snow']);
    expect(moved($off))->toBe("2026-01-13 does not take place: snow.\nlesson 2 goes to the next term.")
        ->and(moved(planned(['state' => MeetingState::Cancelled])))->toStartWith("2026-01-13 does not take place.\n")
        ->and(moved(planned(), $off))->toBe("2026-01-13 takes place after all.\nlesson 2 comes on 2026-01-13.");
});

test('another time, another length, a meeting more and one less', function () {
    expect(moved(planned(['at' => '18:30'])))->toBe('2026-01-13 begins at 18:30 instead of 19:00.')
        ->and(moved(planned(['minutes' => 90])))->toBe('2026-01-13 has 90 minutes instead of 60.');
    $more = new PlanView([...planned()->meetings, new DraftMeeting('d', '2026-01-24', '10:00', 45)], planned()->plans, planned()->forecasts);
    expect(moved($more))->toBe('A meeting is added on 2026-01-24.')
        ->and(moved(planned(), $more))->toBe('The meeting of 2026-01-24 is no longer in the term.');
});

test('a second lesson of one evening is a lesson of its own', function () {
    $two = planned(plans: ['a' => evening('2026-01-06', ['long' => [[1, 2], []]]), 'b' => evening('2026-01-13', ['long' => [[], [['n1']]]], 'consolidation')]);
    expect(moved($two))->toContain('lesson 2 moves from 2026-01-13 to 2026-01-06.');
});

test('other reviews are named by their days, or counted where they are many', function () {
    $other = fn (string ...$ids) => planned(plans: array_combine($ids, array_map(fn (string $id) => evening('2026-01-01', ['long' => [['a' => [1], 'b' => [2], 'c' => []][$id], [['n9']]]], $id === 'c' ? 'consolidation' : 'lesson'), $ids)));
    expect(moved($other('b')))->toMatch('/review.*2026-01-13/i')->not->toContain('2026-01-20')
        ->and(moved($other('a', 'b', 'c')))->toContain('2026-01-06')->toContain('2026-01-20');
    $many = fn (string $entry) => new PlanView(array_map(fn (int $n) => new DraftMeeting("m$n", "2026-01-0$n", '19:00', 60), range(1, 4)), array_combine(['m1', 'm2', 'm3', 'm4'], array_map(fn (int $n) => evening("2026-01-0$n", ['long' => [[], [[$entry]]]], 'consolidation'), range(1, 4))), []);
    expect(moved($many('n2'), $many('n1')))->toBe('The review changes on 4 evenings.');
});

test('the end is said when it is another by a tenth of a movement as it is written, and not for less', function () {
    expect(moved(planned(forecasts: [outlook('long', 3.04)])))->toBe('')
        ->and(moved(planned(forecasts: [outlook('long', 3.2)])))->toContain('3.2')->toContain('3');
});

test('what a showing comes to: still, now, or no longer', function () {
    $good = new ShowingForecast(0.84, 0.7, 2, Day::number('2026-02-03'));
    $bad = new ShowingForecast(0.84, 0.55, 2, Day::number('2026-02-03'));
    $with = fn (ShowingForecast $showing) => planned(forecasts: [outlook('long', 3.0, $showing)]);
    expect(moved($with($good), $with($good)))->toContain('84 %')
        ->and(moved($with($good), $with($bad)))->toContain('84 %')->not->toBe(moved($with($good), $with($good)))
        ->and(moved($with($bad), $with($good)))->toContain('55 %')
        ->and(moved($with($bad), $with($bad)))->toBe('');
});

test('of several courses each sentence says which', function () {
    $two = fn (array $long, array $short) => planned(plans: ['b' => evening('2026-01-13', ['long' => [$long, []], 'short' => [$short, []]])], forecasts: [outlook('long', 3.0), outlook('short', 1.0)]);
    $was = $two([2], [5]);
    expect(moved($two([2], []), $was, ['long' => 'Heron Gate', 'short' => 'Nine Lamps']))->toBe('Nine Lamps: lesson 5 goes to the next term.');
});
