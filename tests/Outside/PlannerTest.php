<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\ExpectedStudent;
use Gorvan\Core\Term\MeetingPins;
use Gorvan\Core\Term\TermMeeting;
use Gorvan\Core\Term\TermPlan;
use Gorvan\Core\Term\TermPlanner;
use Gorvan\Core\Term\TermRequest;

function randomCourse(int $entries, Approach $approach, ?float $gate = null): Course
{
    $all = array_map(fn (int $at) => new Entry("e$at", EntryKind::Movement, "E$at", demand: mt_rand(50, 250) / 100, mirrors: $at > 3 && mt_rand(0, 3) === 0 ? 'e'.($at - 1) : null), range(1, $entries));

    return new Course('c', new Form('T', $all), new Passage(1, $entries), $approach, gate: $gate);
}

/** @param  list<int>  $gaps  @param  array<int, true>  $nothingNew */
function termOf(Course $course, array $gaps, int $minutes, float $comes, string $seed, array $nothingNew = [], int $students = 12): TermRequest
{
    $day = Day::number('2026-09-01');
    $meetings = [];
    foreach ($gaps as $at => $gap) {
        $meetings[] = new TermMeeting(Day::text($day += $gap), $minutes, pins: new MeetingPins(nothingNew: isset($nothingNew[$at])));
    }

    return new TermRequest($seed, $meetings, [new CourseOutset($course, $course->cut(new LessonCutter, [$minutes], []), [], ExpectedStudent::invented($students, $comes))]);
}

test('the plan comes to within 1 % of the best of every choice of lesson or consolidation, at the median (source: brute force, as the design states it)', function () {
    mt_srand(31);
    $loss = [];
    for ($term = 0; $term < 12; $term++) {
        $approach = [Approach::PieceByPiece, Approach::SidesThenJoined][$term % 2];
        $course = randomCourse(mt_rand(10, 30), $approach);
        $gaps = array_map(fn () => [7, 7, 7, 14, 21][mt_rand(0, 4)], range(1, mt_rand(5, 9)));
        $minutes = [45, 60, 75, 90][mt_rand(0, 3)];
        $comes = [0.85, 0.85, 0.7, 0.6][$term % 4];
        $planned = (new TermPlanner)->plan(termOf($course, $gaps, $minutes, $comes, "t$term"))->expected();
        $free = $course->with(['gate' => 0.0]);
        $best = 0.0;
        for ($bits = 0; $bits < 1 << count($gaps); $bits++) {
            $off = array_fill_keys(array_filter(array_keys($gaps), fn (int $at) => ($bits >> $at & 1) === 1), true);
            $best = max($best, (new TermPlanner)->plan(termOf($free, $gaps, $minutes, $comes, "t$term", $off))->expected());
        }
        $loss[] = 1 - $planned / $best;
    }
    sort($loss);
    fwrite(STDERR, "\n  planned beside brute force, loss in per cent: ".implode(' ', array_map(fn (float $one) => sprintf('%.1f', 100 * $one), $loss))."\n");
    expect($loss[intdiv(count($loss), 2)])->toBeLessThanOrEqual(0.01)->and($loss[0])->toBeGreaterThanOrEqual(-1e-9);
});

/** What a class of its own draws remembers at the end of a plan: simulated here, with nothing but the memory model. */
function shown(TermPlan $plan, Course $course, float $comes, int $students, int $end): float
{
    $model = new MemoryModel;
    [$taught, $practised, $ran] = [Evidence::taught(), Evidence::practised(), Evidence::ranThrough()];
    $known = array_fill(0, $students, []);
    $given = [];
    foreach ($plan->meetings as $meeting) {
        $day = Day::number($meeting->on);
        $part = $meeting->courses[0];
        $does = [];
        foreach ([...array_map(fn ($one) => [$one, $ran], [$part->runThrough]), ...array_map(fn ($one) => [$one, $practised], [$part->recap, ...array_map(fn ($one) => $one->entries, $part->review), ...array_map(fn ($one) => $one->kind->value === 'join' ? $one->entries : [], $part->lessons())]), [$part->given(), $taught]] as [$entries, $evidence]) {
            $does = [...$does, ...array_fill_keys($entries, $evidence)]; // the stronger comes later
        }
        foreach ($does as $entry => $evidence) {
            $given[$entry] = true;
        }
        foreach ($known as $student => $states) {
            if (mt_rand() / mt_getrandmax() >= $comes) {
                continue;
            }
            foreach ($does as $entry => $evidence) {
                $state = $states[$entry] ?? null;
                $known[$student][$entry] = [$state === null ? $model->first($evidence) : $model->later($state[0], $day - $state[1], $evidence), $day];
            }
        }
    }
    $sum = 0.0;
    foreach ($known as $states) {
        foreach ($states as [$state, $day]) {
            $sum += $model->recall($end - $day, $state->stability);
        }
    }

    return $sum / max(1, $students * count($given));
}

test('what a plan forecasts is what 400 fresh classes show on average (source: the memory model alone, with other draws)', function (float $comes, float $within) {
    mt_srand(8);
    $off = [];
    for ($term = 0; $term < 20; $term++) {
        $course = randomCourse(mt_rand(8, 24), Approach::cases()[$term % 3]);
        $gaps = array_map(fn () => [7, 7, 7, 14][mt_rand(0, 3)], range(1, mt_rand(6, 12)));
        $minutes = [45, 60, 75][mt_rand(0, 2)];
        $plan = (new TermPlanner)->plan(termOf($course, $gaps, $minutes, $comes, "h$term"));
        $end = $plan->courses[0]->day;
        $sum = 0.0;
        // 40 classes of ten are 400 students of draws of their own; 400 of one say the same.
        for ($run = 0; $run < 400; $run++) {
            $sum += shown($plan, $course, $comes, 1, $end);
        }
        $off[] = abs($sum / 400 - ($plan->courses[0]->mean ?? 0.0));
        foreach (['other', 'third'] as $seed) {
            $again = (new TermPlanner)->plan(termOf($course, $gaps, $minutes, $comes, $seed));
            expect(abs(count($again->courses[0]->left) - count($plan->courses[0]->left)))->toBeLessThanOrEqual(1, "reach of term $term");
        }
    }
    sort($off);
    fwrite(STDERR, sprintf("\n  forecasts beside 400 fresh classes at an attendance of %.2f: off by %.3f at the median, %.3f on average, %.3f at most\n", $comes, $off[10], array_sum($off) / 20, $off[19]));
    // A forecast is itself an average over 72 memories, so that two terms in 20 may be off by up to twice as much.
    expect(array_sum($off) / 20)->toBeLessThanOrEqual($within)->and($off[17])->toBeLessThanOrEqual($within)->and($off[19])->toBeLessThanOrEqual(2 * $within);
})->with([[0.85, 0.02], [0.5, 0.04]]);
