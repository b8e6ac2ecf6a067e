<?php

declare(strict_types=1);

namespace Gorvan\Core\Term\Change;

use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\CourseForecast;
use Gorvan\Core\Term\LessonKind;
use Gorvan\Core\Term\MeetingKind;

/** What a re-plan moved, in words (engine 9). */
final class PlanDifference
{
    private const TENTH = 0.05;

    /**
     * @param  array<string, string>  $titles  of the forms, by course, where there is more than one course
     * @return list<Message> nothing, where nothing moved
     */
    public static function between(PlanView $was, PlanView $is, array $titles = []): array
    {
        return [
            ...self::meetings($was, $is),
            ...self::lessons($was, $is, $titles),
            ...self::kinds($was, $is),
            ...self::reviews($was, $is),
            ...self::ends($was, $is, $titles),
        ];
    }

    /** @return list<Message> */
    private static function meetings(PlanView $was, PlanView $is): array
    {
        $before = [];
        foreach ($was->meetings as $meeting) {
            $before[$meeting->id] = $meeting;
        }
        $said = [];
        foreach ($is->meetings as $meeting) {
            $old = $before[$meeting->id] ?? null;
            $said[] = match (true) {
                $old === null => Message::of('replan.added', on: $meeting->on),
                $old->state->takesPlace() && ! $meeting->state->takesPlace() => $meeting->reason === null ? Message::of('replan.cancelled', on: $meeting->on) : Message::of('replan.cancelled_because', on: $meeting->on, reason: $meeting->reason),
                ! $old->state->takesPlace() && $meeting->state->takesPlace() => Message::of('replan.restored', on: $meeting->on),
                $old->on !== $meeting->on => Message::of('replan.meeting', from: $old->on, to: $meeting->on),
                $old->at !== $meeting->at => Message::of('replan.time', on: $meeting->on, from: $old->at, to: $meeting->at),
                $old->minutes !== $meeting->minutes => Message::of('replan.minutes', on: $meeting->on, from: $old->minutes, to: $meeting->minutes),
                default => null,
            };
        }
        $now = array_map(static fn (DraftMeeting $meeting): string => $meeting->id, $is->meetings);
        foreach ($was->meetings as $meeting) {
            if (! in_array($meeting->id, $now, true)) {
                $said[] = Message::of('replan.removed', on: $meeting->on);
            }
        }

        return array_values(array_filter($said));
    }

    /**
     * @param  array<string, string>  $titles
     * @return list<Message>
     */
    private static function lessons(PlanView $was, PlanView $is, array $titles): array
    {
        // A meeting that moves takes its lesson along, and has said so already.
        $days = [];
        foreach ($was->meetings as $meeting) {
            foreach ($is->meetings as $now) {
                if ($now->id === $meeting->id) {
                    $days[$meeting->on] = $now->on;
                }
            }
        }
        $said = [];
        $new = $is->lessons();
        foreach ($was->lessons() + array_fill_keys(array_keys($new), []) as $course => $before) {
            $after = $new[$course] ?? [];
            $forecast = self::forecast($is, (string) $course);
            foreach ($before + $after as $key => $_) {
                [$kind, $number] = explode(' ', (string) $key);
                // What was taught meanwhile, with whatever lesson, is done, and goes nowhere.
                $isDone = $forecast !== null && ! in_array((int) $number, $kind === LessonKind::Detail->value ? $forecast->undetailed : $forecast->left, true);
                $what = Message::of("replan.lesson_$kind", number: (int) $number);
                [$from, $to] = [$before[$key] ?? null, $after[$key] ?? null];
                $message = match (true) {
                    $from === $to, $from !== null && ($days[$from] ?? $from) === $to => null,
                    $to === null && $isDone => null,
                    $to === null => Message::of('replan.lesson_left', what: $what),
                    $from === null => Message::of('replan.lesson_comes', what: $what, on: $to),
                    default => Message::of('replan.lesson', what: $what, from: $from, to: $to),
                };
                if ($message !== null) {
                    $said[] = isset($titles[$course]) ? Message::of('plan.in_course', title: $titles[$course], what: $message) : $message;
                }
            }
        }

        return $said;
    }

    /** @return list<Message> */
    private static function kinds(PlanView $was, PlanView $is): array
    {
        $said = [];
        foreach ($is->meetings as $meeting) {
            $old = $was->plans[$meeting->id]->kind ?? null;
            $new = $is->plans[$meeting->id]->kind ?? null;
            if ($meeting->state->takesPlace() && $old !== null && $new !== null && $old !== $new && $new !== MeetingKind::Lesson) {
                $said[] = Message::of("replan.becomes_$new->value", on: $meeting->on);
            }
        }

        return $said;
    }

    /** @return list<Message> */
    private static function reviews(PlanView $was, PlanView $is): array
    {
        $days = [];
        foreach ($is->meetings as $meeting) {
            $old = $was->plans[$meeting->id] ?? null;
            $new = $is->plans[$meeting->id] ?? null;
            if ($meeting->state->takesPlace() && $old !== null && $new !== null && self::reviewed($old) !== self::reviewed($new)) {
                $days[] = $meeting->on;
            }
        }

        return $days === [] ? [] : [count($days) <= 3 ? Message::of('replan.reviews_on', days: $days) : Message::of('replan.reviews', count: count($days))];
    }

    /** @return list<list<string>> */
    private static function reviewed(\Gorvan\Core\Term\MeetingPlan $plan): array
    {
        $entries = [];
        foreach ($plan->courses as $course) {
            foreach ($course->review as $review) {
                $entries[] = $review->entries;
            }
        }

        return $entries;
    }

    /**
     * @param  array<string, string>  $titles
     * @return list<Message>
     */
    private static function ends(PlanView $was, PlanView $is, array $titles): array
    {
        $said = [];
        foreach ($is->forecasts as $now) {
            $old = self::forecast($was, $now->course);
            $all = [];
            if ($old !== null && abs($old->expected - $now->expected) >= self::TENTH) {
                $all[] = Message::of('replan.expected', from: round($old->expected, 1), to: round($now->expected, 1));
            }
            if ($now->showing === null && $old?->showing !== null) {
                $all[] = Message::of('replan.showing_falls_out', on: Day::text($old->showing->day));
            }
            if ($now->showing !== null) {
                $mean = (int) round(100 * $now->showing->mean);
                $all[] = match (true) {
                    $now->showing->holds() && $old?->showing?->holds() === false => Message::of('replan.showing_holds_now', mean: $mean),
                    $now->showing->holds() => Message::of('replan.showing_still', mean: $mean),
                    $old?->showing?->holds() === true => Message::of('replan.showing_lost', mean: $mean, least: (int) round(100 * $now->showing->least)),
                    default => null,
                };
            }
            foreach (array_filter($all) as $message) {
                $said[] = isset($titles[$now->course]) ? Message::of('plan.in_course', title: $titles[$now->course], what: $message) : $message;
            }
        }

        return $said;
    }

    private static function forecast(PlanView $view, string $course): ?CourseForecast
    {
        foreach ($view->forecasts as $one) {
            if ($one->course === $course) {
                return $one;
            }
        }

        return null;
    }
}
