<?php

declare(strict_types=1);

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Form\Repetition;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Course;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\ExpectedStudent;
use Gorvan\Core\Term\MeetingKind;
use Gorvan\Core\Term\SaidPace;
use Gorvan\Core\Term\Showing;
use Gorvan\Core\Term\TermMeeting;
use Gorvan\Core\Term\TermPlan;
use Gorvan\Core\Term\TermPlanner;
use Gorvan\Core\Term\TermRequest;
use Gorvan\Core\Tests\Said;

/** A term as some teacher might have it, drawn by `mt_rand`: the form, the calendar, the way it is taught. */
function anyTerm(): TermRequest
{
    $count = mt_rand(6, 60);
    $entries = array_map(static fn (int $at): Entry => new Entry(
        "e$at",
        mt_rand(0, 9) === 0 && $at > 1 ? [EntryKind::Connector, EntryKind::Extra][mt_rand(0, 1)] : EntryKind::Movement,
        "E$at",
        number: $at,
        demand: mt_rand(0, 3) === 0 ? mt_rand(50, 300) / 100 : null,
        repetition: mt_rand(0, 7) === 0 ? Repetition::parse(['6', '20 s', '4 br', '150 s', '3'][mt_rand(0, 4)]) : null,
        mirrors: $at > 3 && mt_rand(0, 3) === 0 ? 'e'.($at - mt_rand(1, 3)) : null,
    ), range(1, $count));
    $sections = mt_rand(0, 1) === 0 ? [] : [new Section('One', 1, intdiv($count, 2)), new Section('Two', intdiv($count, 2) + 1, $count)];
    $form = new Form('T', $entries, $sections);
    $day = Day::number('2026-09-01');
    $minutes = [45, 60, 75, 90][mt_rand(0, 3)];
    $meetings = [];
    for ($at = 0, $of = mt_rand(6, 40); $at < $of; $at++) {
        $day += $at === 0 ? 0 : [7, 7, 7, 7, 7, 14, 21][mt_rand(0, 6)];
        $meetings[] = new TermMeeting(Day::text($day), mt_rand(0, 8) === 0 ? 30 : $minutes);
    }
    $course = new Course(
        'c',
        $form,
        new Passage(1, $count),
        Approach::cases()[mt_rand(0, 3)],
        showing: mt_rand(0, 2) === 0 ? new Showing($meetings[mt_rand(2, count($meetings) - 1)]->on, 'e'.mt_rand(2, $count)) : null,
        said: [null, null, SaidPace::movements(mt_rand(10, 50) / 10), SaidPace::minutes(mt_rand(4, 12))][mt_rand(0, 3)],
        spread: [null, null, true, false][mt_rand(0, 3)],
        reserve: mt_rand(0, 2),
    );
    $course = $course->paced(array_map(static fn (TermMeeting $one): int => $one->minutes, $meetings));

    return new TermRequest('any', $meetings, [new CourseOutset($course, $course->cut(new LessonCutter, [$minutes], []), [], ExpectedStudent::invented(8, mt_rand(60, 95) / 100))]);
}

/** @return list<string> what nobody would believe of a plan, each with its evening */
function unbelievable(TermRequest $request, TermPlan $plan): array
{
    $found = [];
    $course = $request->courses[0]->course;
    $calendar = $request->meetings;
    $reviewed = $same = [];
    $lastLesson = max([-1, ...array_keys(array_filter($plan->meetings, static fn ($one): bool => $one->courses[0]->given() !== []))]);
    foreach ($plan->meetings as $at => $meeting) {
        $part = $meeting->courses[0];
        $isLeft = $at < $lastLesson;
        if (array_sum($meeting->boxes) !== $meeting->minutes || min($meeting->boxes) < 0) {
            $found[] = "$at: minutes unaccounted for";
        }
        $used = array_sum(array_map(static fn ($one): float => $one->minutes, $part->review));
        if ($part->lessons() === [] || $part->given() !== []) {
            if ($meeting->boxes['review'] - $used >= 1.0 || $used > $meeting->boxes['review'] + 1e-9) {
                $found[] = "$at: review of $used minutes in {$meeting->boxes['review']}";
            }
        }
        if (isset($meeting->boxes['focus'])) {
            $found[] = "$at: a focus where there are no principles";
        }
        foreach ($part->review as $one) {
            if ($isLeft && ($one->why['recall'] ?? 0.0) >= 0.9 && $one->passes > 3) {
                $found[] = "$at: $one->passes times through what is there at {$one->why['recall']}";
            }
        }
        $gap = isset($calendar[$at + 1]) ? Day::number($calendar[$at + 1]->on) - Day::number($meeting->on) : 0;
        if ($meeting->kind === MeetingKind::BeforeBreak && ($gap <= 14 || $part->given() !== [])) {
            $found[] = "$at: the eve of a break that is none, or teaches";
        }
        if ($part->given() !== [] && in_array($meeting->kind, [MeetingKind::Showing, MeetingKind::Reserve, MeetingKind::BeforeBreak, MeetingKind::LookBack], true)) {
            $found[] = "$at: a lesson on an evening of kind {$meeting->kind->value}";
        }
        $same[] = json_encode([$meeting->kind, $part->given(), array_map(static fn ($one): array => [$one->entries, $one->passes], $part->review), $part->runThrough, $part->times]);
        if ($isLeft && count($same) > 2 && count(array_unique(array_slice($same, -3))) === 1) {
            $found[] = "$at: the same evening three times";
        }
        $said = array_map(static fn ($note): string => $note->code, $meeting->notes);
        if (in_array('boxes.new_short', $said, true) && array_intersect($said, ['plan.more_passes', 'plan.spare_to_run', 'plan.run_again', 'plan.free', 'plan.free_long', 'plan.spare_to_new']) !== []) {
            $found[] = "$at: too short and time to spare: ".implode(' ', $said);
        }
        if (count($said) !== count(array_unique($said))) {
            $found[] = "$at: said twice: ".implode(' ', $said);
        }
        if ($part->why?->code === 'plan.why.all_given' && $plan->courses[0]->left !== []) {
            $found[] = "$at: everything is given, and lessons are left";
        }
    }
    $given = array_merge([], ...array_map(static fn ($one): array => array_merge([], ...array_map(static fn ($lesson): array => $lesson->kind->value === 'detail' ? [] : $lesson->entries, array_filter($one->courses[0]->lessons(), static fn ($lesson): bool => $lesson->kind->value !== 'join'))), $plan->meetings));
    if (count($given) !== count(array_unique($given))) {
        $found[] = 'something is taught twice';
    }
    $order = $course->form->positionsOf($given);
    if ($order !== range(1, count($order)) && array_values(array_filter(range(1, max([0, ...$order])), static fn (int $one): bool => $course->form->at($one)->kind->countsInForm())) !== $order) {
        $found[] = 'something is left out: '.implode(' ', $given);
    }
    if (str_contains(Said::all($plan->warnings), 'left for the next term') && $plan->courses[0]->says?->code === 'pace.through') {
        $found[] = 'through, and lessons left';
    }

    return $found;
}

test('no plan of terms as teachers may have them is one that nobody would believe (common practice, from memory)', function (int $seed) {
    mt_srand($seed);
    $all = [];
    for ($term = 0, $of = getenv('GORVAN_LONG') === false ? 30 : 100; $term < $of; $term++) {
        $request = anyTerm();
        foreach (unbelievable($request, (new TermPlanner)->plan($request)) as $one) {
            $all[] = "term $term of $seed, {$request->courses[0]->course->approach->value}: $one";
        }
    }
    expect(array_slice($all, 0, 20))->toBe([]);
})->with([1, 2, 3]);
