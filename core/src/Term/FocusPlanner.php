<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Memory\Evidence;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Principle\Bite;
use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\ChosenFocus;
use Gorvan\Core\Principle\FocusChooser;
use Gorvan\Core\Principle\FocusHistory;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Standing\TrackStanding;
use Gorvan\Core\Term\Internal\SimulatedClass;
use Gorvan\Core\Term\Internal\TermCalendar;

/**
 * Proposes what each open meeting of a term works on beside the sequence (engine 16): in date order, on simulated memories.
 *
 * Pure: the same outset and meetings give the same focuses.
 */
final readonly class FocusPlanner
{
    /** Parts a course from an entry in it: two forms of a term may use the same ids. */
    private const OF = "\n";

    /** Day 0 was a Thursday: so many days later than the Monday its week began on. */
    private const MONDAY = 3;

    public function __construct(private MemoryModel $model = new MemoryModel)
    {
    }

    /**
     * @param  list<TermMeeting>  $meetings  the whole term in order
     * @param  array<int, array<string, list<string>>>  $entries  of each open meeting, by its place in the term and course
     * @param  list<int>  $quiet  places of the meetings on which nothing is new: a showing's, and the one before it
     * @return array<int, list<PlannedFocus>> by the meeting's place in the term
     */
    public function lay(string $seed, FocusOutset $outset, array $meetings, array $entries, array $quiet = []): array
    {
        $calendar = new TermCalendar($meetings);
        $class = new SimulatedClass($seed, $outset->students, $this->model);
        $chooser = new FocusChooser($outset->set, self::bites($outset));
        $place = array_flip($outset->set->ids());
        $history = $outset->history;
        $taught = Evidence::taught();
        $laid = [];
        $week = null;
        $family = null;
        foreach ($meetings as $at => $meeting) {
            if (! isset($entries[$at])) {
                continue;
            }
            [$day, $next] = [$calendar->days[$at], $calendar->next($at)];
            $tonight = self::keyed($entries[$at]);
            $ahead = static fn (string $id): float => $class->meanRecall($place[$id] + 1, $next);
            $byHand = self::byHand($meeting, $outset);
            $today = static fn (string $id): float => $class->meanRecall($place[$id] + 1, $day);
            $isQuiet = in_array($at, $quiet, true);
            // A family is worked on for a week, from Monday on.
            $isSameWeek = $week === intdiv($day + self::MONDAY, 7);
            $chosen = match (true) {
                $byHand !== null => null,
                ! $outset->byFamily => $chooser->choose($history, $today, $ahead, $tonight, $outset->most, $isQuiet),
                $isSameWeek && $family !== null => array_map(static fn (string $id): ChosenFocus => $chooser->focus($id, $history, $ahead, $tonight), $chooser->open($chooser->families()[$family], $history, $today, $isQuiet)),
                default => $chooser->chooseFamily($history, $today, $ahead, $tonight, $isQuiet),
            } ?? array_map(static fn (string $id): ChosenFocus => $chooser->focus($id, $history, $ahead, $tonight), $byHand ?? []);
            if ($outset->byFamily && $byHand === null) {
                $first = $chosen === [] ? null : $outset->set->principle($chosen[0]->principle);
                [$week, $family] = [intdiv($day + self::MONDAY, 7), $first === null ? $family : FocusChooser::familyOf($first)];
            }
            $laid[$at] = array_map(static fn (ChosenFocus $one): PlannedFocus => PlannedFocus::of($one, self::why($outset, $history, $one, $byHand !== null)), $chosen);
            $present = $class->present($meeting->key ?? $meeting->on);
            foreach ($chosen as $one) {
                $class->contact($place[$one->principle] + 1, $day, $taught, $present);
            }
            $history = $history->after(array_map(static fn (ChosenFocus $one): string => $one->principle, $chosen));
        }

        return $laid;
    }

    /** @return list<string>|null null where nothing is set, or what was set has gone since */
    private static function byHand(TermMeeting $meeting, FocusOutset $outset): ?array
    {
        $set = $meeting->pins->principles;
        $there = array_values(array_intersect($set ?? [], $outset->set->ids()));

        return $set === null || ($there === [] && $set !== []) ? null : $there;
    }

    /** Why a meeting works on a principle, in a sentence. */
    private static function why(FocusOutset $outset, FocusHistory $history, ChosenFocus $one, bool $isByHand): Message
    {
        [$title, $numbers] = self::said($outset, $one->shows);
        $reason = match (true) {
            $isByHand => Message::of('focus.by_hand'),
            $outset->byFamily && ($outset->set->principle($one->principle)->family ?? null) !== null => Message::of($one->isNew ? 'focus.family_new' : 'focus.family', family: (string) $outset->set->principle($one->principle)?->family, percent: (int) round(100 * $one->mean)),
            $one->isNew && $history->last === null => Message::of('focus.first'),
            $one->isNew => Message::of('focus.after', count: $history->inARow, title: $outset->set->principle((string) $history->last)->title ?? ''),
            default => Message::of($one->mean < TrackStanding::HOLD_RECALL ? 'focus.slipping' : 'focus.kept', percent: (int) round(100 * $one->mean)),
        };

        return match (true) {
            $numbers === [] => $reason,
            $title === null => Message::of('focus.shown', says: $reason, count: count($numbers), entries: $numbers),
            default => Message::of('focus.shown_in', says: $reason, count: count($numbers), entries: $numbers, title: $title),
        };
    }

    /**
     * What a sentence says of some entries: of one form, the first of theirs.
     *
     * @param  list<string>  $keys
     * @return array{string|null, list<int>} the form, where there are several, and numbers
     */
    private static function said(FocusOutset $outset, array $keys): array
    {
        $of = null;
        $said = [];
        foreach ($keys as $key) {
            [$course, $entry] = explode(self::OF, $key, 2);
            $form = $outset->forms[$course] ?? null;
            $number = $form === null ? null : self::numberOf($form, $entry);
            if ($number !== null && ($of ??= $course) === $course) {
                $said[$number] = $number;
            }
        }
        sort($said);

        return [count($outset->forms) > 1 && $of !== null ? $outset->forms[$of]->title : null, $said];
    }

    private static function numberOf(Form $form, string $entry): ?int
    {
        $position = $form->positionOf($entry);

        return $position === null ? null : $form->at($position)->number;
    }

    private static function bites(FocusOutset $outset): Bites
    {
        $all = [];
        foreach ($outset->bites as $course => $bites) {
            foreach ($bites->all as $bite) {
                $all[] = new Bite($bite->principle, $course.self::OF.$bite->entry, $bite->strength, $bite->note);
            }
        }

        return new Bites($all);
    }

    /**
     * @param  array<string, list<string>>  $entries  by course
     * @return list<string>
     */
    private static function keyed(array $entries): array
    {
        $keys = [];
        foreach ($entries as $course => $own) {
            foreach ($own as $entry) {
                $keys[] = $course.self::OF.$entry;
            }
        }

        return $keys;
    }
}
