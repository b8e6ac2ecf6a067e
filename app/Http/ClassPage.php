<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\ClassesAway;
use App\Actions\GroupStandings;
use App\Actions\TaughtEntries;
use App\Actions\TonightPartner;
use App\Actions\TonightPartners;
use App\Http\Data\CellData;
use App\Http\Data\ClassCardsData;
use App\Http\Data\ClassData;
use App\Http\Data\CueCardData;
use App\Http\Data\PartnerData;
use App\Http\Data\PassageData;
use App\Http\Data\StoodData;
use App\Http\Data\StopData;
use App\Http\Data\TurnedCardData;
use App\Http\Data\WatchData;
use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Models\PlacedForm;
use App\Record\FactSource;
use Gorvan\Core\Cue\CueCard;
use Gorvan\Core\Cue\CueView;
use Gorvan\Core\Standing\StudentStanding;
use Gorvan\Core\Standing\Watchable;
use Gorvan\Core\Standing\Watched;
use Gorvan\Core\Standing\WatchList;
use Gorvan\Core\Standing\WatchPassage;
use Gorvan\Core\Term\CoursePlan;
use Gorvan\Core\Term\PlannedFocus;
use Gorvan\Core\Term\StopCheck;
use Illuminate\Support\Facades\DB;

/** Reads what a device needs to run a class: cues, whom to look at, where to stop. */
final class ClassPage
{
    /** So many stop checks are drawn ahead, for an evening without a network. */
    private const STOPS = 12;

    private const MOST_CARDS = 150;

    /** Parts a form's row and the id of an entry in it: two forms of a term may use the same ids. */
    private const OF = '/';

    public function __construct(
        private readonly CurrentSchool $school,
        private readonly GroupStandings $standings,
        private readonly TaughtEntries $taught,
        private readonly TonightPartners $partners,
        private readonly ClassesAway $away,
    ) {
    }

    public function __invoke(Meeting $meeting): ClassData
    {
        $today = $this->school->today();
        $plan = $meeting->planned();
        $cards = $points = $passages = $placed = $recalls = $missed = $weak = $stood = $read = [];
        foreach ($meeting->term->loadMissing('courses.form')->courses as $course) {
            $form = $placed[$course->id] = $course->form->placed();
            $part = $plan?->course($course->id) ?? new CoursePlan($course->id, null, [], [], []);
            $known = $this->taught->by($meeting->term->group_id, $form, $today);
            $cards[] = self::cards($course, $form, $part);
            $keys = array_map(static fn (int $position): string => $form->form->at($position)->id, $known);
            $read[$course->id] = [$form, $keys];
            array_push($points, ...self::keyed($course, StopCheck::points($form->form, $part, $keys)));
            $passages = array_merge_recursive($passages, self::passages($course, $part, $keys));
            foreach (($this->standings)($meeting->term->group, $form, $today, also: $meeting->guests(null)) as [$student, $standing]) {
                $recalls[$student->id] = [...$recalls[$student->id] ?? [], ...self::recalls($course, $form, $standing)];
                $of = static fn (int $position): string => $course->id.self::OF.$form->form->at($position)->id;
                $missed[$student->id] = [...$missed[$student->id] ?? [], ...array_map($of, $standing->missed($known))];
                $weak[$student->id] = [...$weak[$student->id] ?? [], ...array_map($of, [...$standing->holes($known), ...$standing->behind($known)])];
                if (count($placed) > 1) {
                    $stood[] = new StoodData($course->id, $student->id, array_map(CellData::of(...), $standing->noted()));
                }
            }
        }
        $tonight = array_merge($passages['recap'] ?? [], ...$passages['review'] ?? [], ...[$passages['run'] ?? []]);
        // What a guest lacks is not this group's to make up for.
        $away = ($this->away)($meeting, array_values(array_diff(array_map(strval(...), array_keys($missed)), $meeting->guests(null))));
        // Whoever has met nothing of tonight cannot be looked at in it, but for who is back.
        $met = array_filter($recalls, static fn (array $of, string $student): bool => ($away[$student] ?? 0) > 0 || array_intersect_key($of, array_flip($tonight)) !== [], ARRAY_FILTER_USE_BOTH);

        return new ClassData($cards, $this->watch($met, $passages, $placed, $away, $missed, $weak), WatchList::SHOWN, self::stops($meeting, $points, $placed, array_map(static fn (PlannedFocus $one): string => $one->principle, $plan->focus ?? [])), $stood, $this->partnersOf($meeting, $read));
    }

    /**
     * @param  array<string, array{PlacedForm, list<string>}>  $read  form and entries that were met by course
     * @return list<PartnerData>
     */
    private function partnersOf(Meeting $meeting, array $read): array
    {
        $partners = ($this->partners)($meeting, $read);
        $spared = $partners === [] ? [] : $this->partners->spared($meeting);

        return array_map(fn (TonightPartner $one): PartnerData => PartnerData::of($one, $this->partners->aside($one->drill, $spared)), $partners);
    }

    private static function cards(Course $course, PlacedForm $placed, CoursePlan $part): ClassCardsData
    {
        // An evening may go elsewhere than its plan, which may be another by then: the whole form is there, unless it is very long.
        $count = $placed->form->count();
        $positions = $count <= self::MOST_CARDS ? range(1, $count) : $placed->form->positionsOf($part->entries());
        $turned = CueCard::each($placed->form, $positions, CueView::SameDirection);

        return new ClassCardsData(
            $course->id,
            CueCardData::each(CueCard::each($placed->form, $positions, CueView::FacingClass)),
            array_map(TurnedCardData::of(...), array_keys($turned), array_values($turned)),
        );
    }

    /**
     * @param  list<string>  $known
     * @return array{recap: list<string>, review: list<list<string>>, run: list<string>, others: list<list<string>>}
     */
    private static function passages(Course $course, CoursePlan $part, array $known): array
    {
        $others = array_map(static fn (array $lesson): array => self::keyed($course, array_values(array_intersect($lesson, $known))), $course->lessons());

        return [
            'recap' => self::keyed($course, $part->recap),
            'review' => array_map(static fn ($review): array => self::keyed($course, $review->entries), $part->review),
            'run' => self::keyed($course, array_values(array_intersect($part->runThrough, $known))),
            'others' => array_values(array_filter($others, static fn (array $lesson): bool => $lesson !== [])),
        ];
    }

    /** @return array<string, float> what a student recalls of what they have met, by keyed entry */
    private static function recalls(Course $course, PlacedForm $placed, StudentStanding $standing): array
    {
        $recalls = [];
        foreach ($standing->noted() as $entry) {
            if ($entry->whole->isMet() && $entry->whole->recall !== null) {
                $recalls[$course->id.self::OF.$placed->form->at($entry->position)->id] = $entry->whole->recall;
            }
        }

        return $recalls;
    }

    /**
     * @param  array<string, array<string, float>>  $recalls  by student
     * @param  array<string, list<mixed>>  $passages
     * @param  array<string, PlacedForm>  $placed  by course
     * @param  array<string, int>  $away  {@see ClassesAway}
     * @param  array<string, list<string>>  $missed  keyed entries by student
     * @param  array<string, list<string>>  $weak  likewise
     * @return list<WatchData>
     */
    private function watch(array $recalls, array $passages, array $placed, array $away, array $missed, array $weak): array
    {
        $since = $this->attendedSinceMark(array_map(strval(...), array_keys($recalls)));
        $students = array_map(static fn (string $student): Watchable => new Watchable($student, $since[$student] ?? null, $recalls[$student], $away[$student] ?? 0, $missed[$student] ?? [], $weak[$student] ?? []), array_map(strval(...), array_keys($recalls)));
        $list = WatchList::of($students, WatchPassage::of($passages['recap'] ?? [], $passages['review'] ?? [], $passages['run'] ?? [], $passages['others'] ?? []), count($students));
        $found = array_map(static function (Watched $one) use ($placed, $since, $recalls, $away): ?WatchData {
            [$course] = explode(self::OF, $one->passage[0] ?? self::OF, 2);
            $passage = ($placed[$course] ?? null)?->form->passageOf(array_map(static fn (string $key): string => substr($key, strlen($course) + 1), $one->passage));
            $met = array_intersect_key($recalls[$one->student], array_flip($one->passage));

            return $passage === null ? null : new WatchData($one->student, $course, new PassageData($passage->from, $passage->to), $one->why, $since[$one->student] ?? null, $met === [] ? null : array_sum($met) / count($met), $away[$one->student] ?? 0);
        }, $list->watch);

        return array_values(array_filter($found));
    }

    /**
     * How many classes each has come to since they were last marked in any form.
     *
     * @param  list<string>  $students
     * @return array<string, int> who was never marked is not among them
     */
    private function attendedSinceMark(array $students): array
    {
        $rows = $students === [] ? [] : DB::select(<<<'SQL'
            with records as (
                select s.id as student_id, r.record from students s cross join lateral unnest(s.id || s.also) r(record) where s.school_id = ? and s.id = any(?::uuid[])
            ), last as (
                select r.student_id, max(k.day) as day from records r cross join lateral (
                    select coalesce(m.on, (m.received_at at time zone 'UTC')::date) as day from marks m
                    where m.school_id = ? and m.student_id = r.record and not exists (select from withdrawn w where w.school_id = m.school_id and w.id = m.id)
                    order by coalesce(m.on, (m.received_at at time zone 'UTC')::date) desc limit 1
                ) k group by r.student_id
            )
            select last.student_id, (
                select count(distinct c.log_id) from records r join log_students c on c.school_id = ? and c.student_id = r.record and c.on > last.day
                where r.student_id = last.student_id and not exists (select from withdrawn w where w.school_id = c.school_id and w.id = c.log_id)
            ) as came from last
            SQL, [$this->school->id(), FactSource::list($students), $this->school->id(), $this->school->id()]);
        $since = [];
        foreach ($rows as $row) {
            $since[$row->student_id] = (int) $row->came;
        }

        return $since;
    }

    /**
     * @param  list<string>  $points
     * @param  array<string, PlacedForm>  $placed
     * @param  list<string>  $principles
     * @return list<StopData>
     */
    private static function stops(Meeting $meeting, array $points, array $placed, array $principles): array
    {
        $stops = [];
        for ($draw = 1; $draw <= self::STOPS; $draw++) {
            $stop = StopCheck::draw($meeting->id, $draw, $points, $principles);
            if ($stop !== null) {
                [$course, $entry] = explode(self::OF, $stop->entry, 2);
                $stops[] = new StopData($course, (int) $placed[$course]->form->positionOf($entry), $stop->focus, $stop->principle);
            }
        }

        return $stops;
    }

    /**
     * @param  list<string>  $entries
     * @return list<string>
     */
    private static function keyed(Course $course, array $entries): array
    {
        return array_map(static fn (string $entry): string => $course->id.self::OF.$entry, $entries);
    }
}
