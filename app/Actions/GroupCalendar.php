<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\Meeting;
use App\Models\Term;
use App\Words;
use DateTimeImmutable;
use Gorvan\Core\Calendar\CalendarEvent;
use Gorvan\Core\Calendar\CalendarWriter;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\MeetingPlan;
use Gorvan\Core\Term\MeetingState;
use Gorvan\Core\Term\PlannedLesson;
use Gorvan\Core\Term\PlannedReview;

/** The meetings of a group as an iCalendar file, each with the summary of its plan; no student is named in it. */
final class GroupCalendar
{
    public function __invoke(Group $group): string
    {
        $events = [];
        $terms = Term::where('group_id', $group->id)->with('courses.form.entries')->get()->keyBy('id');
        $forms = $read = [];
        foreach ($terms as $term) {
            foreach ($term->courses as $course) {
                // The terms of ten years learn a few forms: each is read once.
                $forms[$course->id] = $read[$course->form_id] ??= $course->form->placed()->form;
            }
        }
        foreach (Meeting::whereIn('term_id', $terms->keys())->orderBy('starts_at')->get() as $meeting) {
            $events[] = $this->event($group, $meeting, $forms);
        }

        return CalendarWriter::write($group->name, $events);
    }

    /** @param  array<string, Form>  $forms  by course */
    private function event(Group $group, Meeting $meeting, array $forms): CalendarEvent
    {
        $isCancelled = $meeting->state === MeetingState::Cancelled;
        $plan = $meeting->planned();

        return new CalendarEvent(
            "$meeting->id@gorvan.invalid",
            $meeting->sequence,
            DateTimeImmutable::createFromInterface($meeting->starts_at),
            $meeting->minutes,
            DateTimeImmutable::createFromInterface($meeting->updated_at ?? $meeting->starts_at),
            $plan === null || $isCancelled ? $group->name : "$group->name: ".Words::of(Message::of('plan.as_kept', text: self::summary($plan, $forms))),
            $isCancelled ? Words::of($meeting->reason === null ? Message::of('calendar.cancelled_plain') : Message::of('calendar.cancelled', reason: $meeting->reason)) : self::description($plan, $forms),
            $meeting->room ?? $group->room ?? '',
            $isCancelled,
        );
    }

    /** @param  array<string, Form>  $forms  by course */
    private static function summary(MeetingPlan $plan, array $forms): string
    {
        $parts = [];
        foreach ($plan->courses as $course) {
            foreach ($course->lessons() as $lesson) {
                // Which lesson of which form, where there are several.
                $form = count($plan->courses) > 1 ? $forms[$course->course] ?? null : null;
                $parts[] = ($form === null ? '' : "$form->title, ").Words::of(match ($lesson->kind->value) {
                    'detail' => Message::of('calendar.detail', number: $lesson->number ?? 0),
                    'join' => Message::of('calendar.join'),
                    default => Message::of('calendar.lesson', number: $lesson->number ?? 0),
                });
            }
        }

        return $parts === [] ? Words::of(Message::of($plan->kind->value === 'reserve' ? 'calendar.reserve' : 'calendar.nothing_new')) : implode('; ', $parts);
    }

    /** @param  array<string, Form>  $forms */
    private static function description(?MeetingPlan $plan, array $forms): string
    {
        $lines = [];
        foreach ($plan->courses ?? [] as $course) {
            $form = $forms[$course->course] ?? null;
            if ($form !== null) {
                array_push($lines, ...self::lines($course, $form));
            }
        }

        return implode("\n", $lines);
    }

    /** @return list<string> */
    private static function lines(CoursePlan $course, Form $form): array
    {
        $titles = static fn (array $entries): string => implode(', ', array_map(static fn (int $position): string => $form->at($position)->title, $form->positionsOf($entries)));
        $span = static function (PlannedReview $review) use ($form): string {
            $passage = $form->passageOf($review->entries);

            return $passage === null ? '' : $form->at($passage->from)->title.($passage->to > $passage->from ? ' – '.$form->at($passage->to)->title : '');
        };
        $new = array_merge([], ...array_map(static fn (PlannedLesson $lesson): array => $lesson->entries, $course->lessons()));

        return array_values(array_filter([
            $new === [] ? null : Words::of(Message::of('calendar.new_entries', titles: $titles($new))),
            $course->review === [] ? null : Words::of(Message::of('calendar.review', what: implode('; ', array_map($span, $course->review)))),
        ]));
    }
}
