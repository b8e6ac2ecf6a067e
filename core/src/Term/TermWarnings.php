<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/** What a plan has to say of itself, with numbers (engine 9). */
final class TermWarnings
{
    /** Under this it is said that a class shows less than was forecast. */
    private const LOW_TRUST = 0.9;

    private const MOST_TITLES = 4;

    /**
     * @param  array<int, MeetingPlan>  $planned
     * @return list<Message>
     */
    public static function of(CourseOutset $outset, CourseForecast $forecast, array $planned): array
    {
        $form = $outset->course->form;
        $warnings = [];
        // What is said first of the course may have said so already.
        if ($forecast->left !== [] && $outset->course->approach !== Approach::WholeSet && ! in_array($forecast->says?->code, ['pace.far', 'pace.no_evening'], true)) {
            $warnings[] = $forecast->reach === null
                ? Message::of('plan.reaches_nothing', count: count($forecast->left))
                : Message::of('plan.ends_at', reached: $form->numberAt($forecast->reach), all: $form->numberAt($form->count()), count: count($forecast->left));
        }
        if ($forecast->left === [] && $forecast->undetailed !== []) {
            $warnings[] = Message::of('plan.undetailed', count: count($forecast->undetailed));
        }
        if ($outset->course->fallenOut !== null) {
            $warnings[] = Message::of('plan.showing_falls_out', on: $outset->course->fallenOut);
        }
        $showing = $outset->course->showing;
        if ($showing !== null && $forecast->showing !== null && ! $forecast->showing->holds()) {
            $warnings[] = Message::of('plan.showing_fails', on: $showing->on, mean: (int) round(100 * $forecast->showing->mean), title: $form->at($forecast->showing->leastAt)->title, least: (int) round(100 * $forecast->showing->least));
        }
        $trust = $outset->students === [] ? 1.0 : array_sum(array_map(static fn (ExpectedStudent $one): float => $one->trust, $outset->students)) / count($outset->students);
        if ($trust < self::LOW_TRUST) {
            $warnings[] = Message::of('plan.trust', percent: (int) round(100 * $trust));
        }
        if ($forecast->low !== []) {
            $warnings[] = Message::of('plan.low', count: count($forecast->low), entries: self::called($form, $forecast->low));
        }
        if ($outset->course->approach === Approach::SidesThenJoined && \Gorvan\Core\Lesson\SideStretches::of($form, $outset->course->target) === []) {
            $warnings[] = Message::of('plan.no_sides');
        }
        $long = self::inParts($outset, $planned);
        if ($long !== null) {
            $warnings[] = $long;
        }

        return $warnings;
    }

    /**
     * Lessons that no evening takes in whole.
     *
     * @param  array<int, MeetingPlan>  $planned
     */
    private static function inParts(CourseOutset $outset, array $planned): ?Message
    {
        $whys = array_filter(array_map(static fn (MeetingPlan $plan): ?Message => $plan->course($outset->course->id)?->why, $planned), static fn (?Message $why): bool => $why?->code === 'plan.why.in_part');
        if ($whys === []) {
            return null;
        }
        $most = min(array_map(static fn (Message $why): int => is_int($why->with['most'] ?? null) ? $why->with['most'] : 0, $whys));

        return Message::of('plan.in_parts', count: count($whys), room: PaceSentence::movements($most / $outset->course->minutesPerLoad($outset->course->approach->mainRound()) / self::each($outset)));
    }

    /**
     * Entries as a teacher calls them: by their numbers where all have one, by their titles where not.
     *
     * @param  list<int>  $positions
     * @return list<int|string|Message>
     */
    private static function called(Form $form, array $positions): array
    {
        $numbers = array_map(static fn (int $position): ?int => $form->at($position)->number, $positions);
        if (! in_array(null, $numbers, true)) {
            return $numbers;
        }
        $titles = array_map(static fn (int $position): string => $form->at($position)->title, array_slice($positions, 0, self::MOST_TITLES));
        $more = count($positions) - count($titles);

        return [...$titles, ...($more > 0 ? [Message::of('plan.more_entries', count: $more)] : [])];
    }

    /** The load of a movement of the target, on average. */
    private static function each(CourseOutset $outset): float
    {
        $movements = count(array_filter($outset->course->target->positions(), static fn (int $position): bool => $outset->course->form->at($position)->kind === EntryKind::Movement));
        $load = $outset->cut->loadOf($outset->course->target);

        return $movements > 0 && $load > 0.0 ? $load / $movements : 1.0;
    }
}
