<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\PlacedForm;
use App\Record\Checkpoints;
use App\Record\EntryRows;
use App\Record\FactSource;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\Subject;
use Gorvan\Core\Standing\StudentStanding;

/**
 * Where students stand in a form on a day: what is known now about that day. Every reading goes on from a checkpoint where
 * one holds, and is the same to the last bit as a replay from the first fact.
 */
final class ReadStandings
{
    public function __construct(
        private readonly CurrentSchool $school,
        private readonly FactSource $facts,
        private readonly Checkpoints $checkpoints,
        private readonly EntryRows $entries,
        private readonly Replay $replay = new Replay,
    ) {
    }

    /**
     * @param  list<string>  $students
     * @param  string  $on  the day `Y-m-d`
     * @param  list<string>|null  $only  rows of the entries that matter; the others are not read
     * @return array<string, StudentStanding> by student
     */
    public function __invoke(PlacedForm $form, array $students, string $on, ?array $only = null): array
    {
        return $this->in($form, $this->tracks($form, $students, $on, $only), $on);
    }

    /**
     * Where students stand by tracks that are read already.
     *
     * @param  array<string, array<string, Tracks>>  $tracks  by student and the entry's id in the form
     * @param  string  $on  the day `Y-m-d`
     * @return array<string, StudentStanding> by student
     */
    public function in(PlacedForm $form, array $tracks, string $on): array
    {
        [$day, $model] = [Day::number($on), $this->school->get()->memory()];

        return array_map(static fn (array $own): StudentStanding => StudentStanding::of($form->form, $own, $day, $model), $tracks);
    }

    /**
     * @param  list<string>  $students
     * @param  list<string>|null  $only
     * @return array<string, array<string, Tracks>> by student and the entry's id in the form
     */
    public function tracks(PlacedForm $form, array $students, string $on, ?array $only = null): array
    {
        return $students === [] ? [] : self::inForm($form, $this->until($students, Day::number($on), $only ?? $form->ids));
    }

    /**
     * Both what {@see tracks()} and what {@see principles()} say of the same students, from one reading of their records.
     *
     * @param  list<string>  $students
     * @param  list<string>  $principles  rows
     * @param  string  $on  the day `Y-m-d`
     * @return array{array<string, array<string, Tracks>>, array<string, array<string, Tracks>>} by student and the entry's id in the form; by student and principle
     */
    public function both(PlacedForm $form, array $students, array $principles, string $on): array
    {
        if ($students === []) {
            return [[], []];
        }
        $keys = self::keysOf($principles);
        $found = $this->until($students, Day::number($on), [...$form->ids, ...array_keys($keys)]);

        return [self::inForm($form, $found), self::inSet($keys, $found)];
    }

    /**
     * @param  array<string, array<string, Tracks>>  $found  by student and subject
     * @return array<string, array<string, Tracks>> by student and the entry's id in the form
     */
    private static function inForm(PlacedForm $form, array $found): array
    {
        $byKey = [];
        $keys = $form->keys();
        foreach ($found as $student => $tracks) {
            $byKey[$student] = [];
            foreach ($tracks as $row => $of) {
                if (isset($keys[$row])) {
                    $byKey[$student][$keys[$row]] = $of;
                }
            }
        }

        return $byKey;
    }

    /**
     * What the record makes of principles: in general and as seen in an entry is one track.
     *
     * @param  list<string>  $students
     * @param  list<string>  $principles  rows
     * @param  string  $on  the day `Y-m-d`
     * @return array<string, array<string, Tracks>> by student and principle
     */
    public function principles(array $students, array $principles, string $on): array
    {
        if ($students === [] || $principles === []) {
            return array_fill_keys($students, []);
        }
        $keys = self::keysOf($principles);

        return self::inSet($keys, $this->until($students, Day::number($on), array_keys($keys)));
    }

    /**
     * @param  list<string>  $principles  rows
     * @return array<string, string> rows by their subjects' keys
     */
    private static function keysOf(array $principles): array
    {
        $keys = [];
        foreach ($principles as $id) {
            $keys[Subject::principle($id)->key()] = $id;
        }

        return $keys;
    }

    /**
     * @param  array<string, string>  $keys  {@see keysOf()}
     * @param  array<string, array<string, Tracks>>  $found  by student and subject
     * @return array<string, array<string, Tracks>> by student and principle
     */
    private static function inSet(array $keys, array $found): array
    {
        $own = [];
        foreach ($found as $student => $tracks) {
            $own[$student] = [];
            foreach (array_intersect_key($tracks, $keys) as $key => $of) {
                $own[$student][$keys[$key]] = $of;
            }
        }

        return $own;
    }

    /**
     * @param  non-empty-list<string>  $students
     * @param  list<string>  $subjects
     * @return array<string, array<string, Tracks>> by student and subject, in the order asked for
     */
    private function until(array $students, int $day, array $subjects): array
    {
        $horizon = Day::number($this->school->today()) - Checkpoints::DAYS_AGO;
        $known = $this->checkpoints->of($students);
        $usable = array_keys(array_filter($known, static fn (array $one): bool => $one['through'] !== null && $one['through'] <= $day));
        $tracks = $this->fromCheckpoints($usable, $known, $subjects, $day, $horizon);
        $rest = array_values(array_diff($students, $usable));
        if ($rest !== []) {
            $tracks += $day >= $horizon ? $this->rebuilt($rest, $known, $day, $horizon) : $this->replayed($rest, [], $this->facts->of($rest, null, $day));
        }

        return array_replace(array_fill_keys($students, []), $tracks);
    }

    /**
     * @param  list<string>  $students
     * @param  array<string, array{epoch: int, through: int|null}>  $known
     * @param  list<string>  $subjects
     * @return array<string, array<string, Tracks>>
     */
    private function fromCheckpoints(array $students, array $known, array $subjects, int $day, int $horizon): array
    {
        if ($students === []) {
            return [];
        }
        $through = array_map(static fn (string $student): int => (int) $known[$student]['through'], array_combine($students, $students));
        $facts = $this->facts->of($students, min($through), $day);
        $old = $new = $touched = [];
        foreach ($facts as $student => $all) {
            foreach ($all as $fact) {
                if ($fact->day > $through[$student]) {
                    $fact->day <= $horizon ? $old[$student][] = $fact : $new[$student][] = $fact;
                    $touched[$fact->subject?->key()] = true;
                }
            }
        }
        $tracks = $this->checkpoints->tracks($students, array_values(array_unique([...$subjects, ...($old === [] ? [] : array_map(strval(...), array_keys($touched)))])));
        if ($old !== []) {
            // Days have gone by since: the checkpoint moves on with what was noted on them.
            $moved = $this->replayed(array_map(strval(...), array_keys($old)), $tracks, $old);
            $changed = [];
            foreach ($old as $student => $all) {
                $changed[$student] = array_intersect_key($moved[$student], array_flip(array_map(static fn (Fact $fact): string => (string) $fact->subject?->key(), $all)));
            }
            $this->checkpoints->save($changed, array_map(static fn (array $one): int => $one['epoch'], $known), $horizon, false);
            $tracks = array_replace($tracks, $moved);
        }

        return $new === [] ? $tracks : array_replace($tracks, $this->replayed(array_map(strval(...), array_keys($new)), $tracks, $new));
    }

    /**
     * From the first fact on; and kept, so that the next reading need not.
     *
     * @param  list<string>  $students
     * @param  array<string, array{epoch: int, through: int|null}>  $known
     * @return array<string, array<string, Tracks>>
     */
    private function rebuilt(array $students, array $known, int $day, int $horizon): array
    {
        $old = $new = array_fill_keys($students, []);
        foreach ($this->facts->of($students, null, $day) as $student => $all) {
            foreach ($all as $fact) {
                $fact->day <= $horizon ? $old[$student][] = $fact : $new[$student][] = $fact;
            }
        }
        $tracks = $this->replayed($students, [], $old);
        $this->checkpoints->save($tracks, array_map(static fn (array $one): int => $one['epoch'], $known), $horizon, true);

        return $this->replayed($students, $tracks, $new);
    }

    /**
     * @param  list<string>  $students
     * @param  array<string, array<string, Tracks>>  $from
     * @param  array<string, list<Fact>>  $facts  of later days than what they go on from
     * @return array<string, array<string, Tracks>>
     */
    private function replayed(array $students, array $from, array $facts): array
    {
        $bySubject = [];
        foreach ($students as $student) {
            foreach ($facts[$student] ?? [] as $fact) {
                $bySubject[$student][(string) $fact->subject?->key()][] = $fact;
            }
        }
        $this->entries->loadSides(array_map(strval(...), array_keys(array_merge([], ...array_values($bySubject)))));
        $tracks = [];
        foreach ($students as $student) {
            $tracks[$student] = $from[$student] ?? [];
            foreach ($bySubject[$student] ?? [] as $subject => $all) {
                $tracks[$student][$subject] = $this->replay->on($tracks[$student][$subject] ?? Tracks::none(), $all, $this->entries->hasSides((string) $subject));
            }
        }

        return $tracks;
    }
}
