<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\KeptLesson;
use App\Models\LoggedClass;
use App\Models\PlacedForm;
use App\Models\Student;
use App\Models\Term;
use Gorvan\Core\Lesson\Content\LeadUps;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\CourseHistory;
use Gorvan\Core\Term\CourseOutset;
use Gorvan\Core\Term\ExpectedStudent;
use Gorvan\Core\Term\KnownEntry;
use Gorvan\Core\Term\WarmUpOutset;
use Illuminate\Support\Facades\DB;
use LogicException;

/** Reads what a plan of a term rests on: its meetings, what was taught, what each student remembers, and how often they come. */
final class ReadPlanning
{
    public function __construct(
        private readonly CurrentSchool $school,
        private readonly LessonCutter $cutter,
        private readonly ReadStandings $standings,
        private readonly TaughtEntries $taught,
        private readonly ReadTermDraft $draft,
        private readonly PacedCourse $paced,
        private readonly ReadFocus $focus,
        private readonly SettledSpread $settled,
    ) {
    }

    public function __invoke(Term $term): Planning
    {
        $today = $this->school->today();
        $comes = $this->attendance($term->group_id, $today);
        $trust = Student::whereIn('id', array_keys($comes))->whereNotNull('trust')->pluck('trust', 'id')->all();
        $courses = $forms = [];
        $draft = ($this->draft)($term);
        foreach ($term->courses()->with('form')->get() as $row) {
            $forms[$row->id] = $row->form->placed();
            $courses[] = $this->course($term, $row, $forms[$row->id], $comes, $trust, $today, $draft->minutes());
        }

        return new Planning($term->id, $courses === [] ? throw new LogicException("term $term->id has no course") : $courses, $draft, ($this->focus)($term->group, $forms, $comes, $trust), new WarmUpOutset($this->school->get()->warmUps(), array_map(static fn (PlacedForm $form) => $form->form, $forms), $term->group->is_room_cold), $term->turns ?? []);
    }

    /**
     * @param  array<string, float>  $comes  chance of coming, by student
     * @param  array<string, float>  $trust  by student, where something was tested
     * @param  list<int>  $minutes  of the term's meetings
     */
    private function course(Term $term, Course $row, PlacedForm $placed, array $comes, array $trust, string $today, array $minutes): CourseOutset
    {
        $course = $row->course($placed)->with(['spread' => $this->settled->of($term, $row)]);
        $taught = ($this->taught)($term->group_id, $placed);
        $learned = $taught->by(Day::number($term->starts_on) - 1, $placed->form);
        $cut = $row->kept($this->cutter, $placed, $learned);
        $course = $this->paced->paced($term->group, $placed, $course, $cut)->paced($minutes, $learned);
        $tracks = $this->standings->tracks($placed, array_keys($comes), $today);
        [$evenings, $before] = $this->evenings($term, $placed);
        $history = CourseHistory::of($evenings, $placed->form, $cut, $before);

        [$leadUps, $partners] = LeadUps::toHand($placed->form, array_map(static fn (KeptLesson $one): WrittenLesson => $one->written(), KeptLesson::of($row)));

        return new CourseOutset(
            $course,
            $cut,
            $taught->by(Day::number($today), $placed->form),
            array_map(fn (string $student, float $chance): ExpectedStudent => new ExpectedStudent($student, $chance, (float) ($trust[$student] ?? 1.0), $this->known($placed, $tracks[$student] ?? [], $today)), array_keys($comes), array_values($comes)),
            $history->twice,
            $history->last,
            $history->inARow,
            $learned,
            $this->firstNext($term, $placed),
            $this->school->get()->recall_factor ?? 1.0,
            $history->given,
            row: $history->row,
            leadUps: $leadUps,
            partners: $partners,
        );
    }

    /**
     * What the classes of the term's group taught of a form, in order.
     *
     * @return array{list<list<string>>, int} entries by the form's own ids, empty where nothing was; and how many classes were before the term
     */
    private function evenings(Term $term, PlacedForm $placed): array
    {
        $evenings = [];
        $before = 0;
        $rows = LoggedClass::standing()->where('group_id', $term->group_id)->whereNotNull('meeting_id')->orderBy('on')->orderBy('made_at')->toBase()
            ->selectRaw('"on", array_to_json(taught) as taught')->get();
        foreach ($rows as $row) {
            $before += (int) ($row->on < $term->starts_on);
            $prefix = "$placed->id/";
            $own = array_filter(json_decode($row->taught, true), static fn (string $one): bool => str_starts_with($one, $prefix));
            $evenings[] = array_values(array_map(static fn (string $one): string => substr($one, strlen($prefix)), $own));
        }

        return [$evenings, $before];
    }

    /**
     * What the last class said to begin with, as far as it is of this form.
     *
     * @return list<int> positions, in order
     */
    private function firstNext(Term $term, PlacedForm $placed): array
    {
        $log = LoggedClass::standing()->where('group_id', $term->group_id)->whereNotNull('meeting_id')->orderByDesc('on')->orderByDesc('made_at')->first()?->log();
        if ($log === null || $log->firstNext === []) {
            return [];
        }
        $forms = [];
        foreach ($log->did as $doing) {
            foreach ($doing->entries as $entry) {
                $forms[$entry][] = $doing->form;
            }
        }
        // Ids are of one form; where nothing was done with an entry it is of the first form that has it.
        $isFirst = $term->courses()->orderBy('ordinal')->value('form_id') === $placed->id;

        return $placed->form->positionsOf(array_filter($log->firstNext, static fn (string $entry): bool => isset($forms[$entry]) ? in_array($placed->id, $forms[$entry], true) : $isFirst));
    }

    /**
     * How likely each member of a group comes, by what the logs since they joined say.
     *
     * @return array<string, float>
     */
    private function attendance(string $group, string $today): array
    {
        $rows = DB::select(<<<'SQL'
            select m.student_id, count(l.id) as meetings, count(l.id) filter (where l.students && (m.student_id || s.also)) as present
            from group_members m join students s on s.school_id = m.school_id and s.id = m.student_id
            left join class_logs l on l.school_id = m.school_id and l.group_id = m.group_id and l.meeting_id is not null and l.on >= m.joined_on and l.on <= ?
                and not exists (select from withdrawn w where w.school_id = l.school_id and w.id = l.id)
            where m.school_id = ? and m.group_id = ? and m.left_on is null
            group by m.student_id order by m.student_id
            SQL, [$today, $this->school->id(), $group]);
        $comes = [];
        foreach ($rows as $row) {
            $comes[$row->student_id] = ExpectedStudent::comesBy((int) $row->present, (int) $row->meetings);
        }

        return $comes;
    }

    /**
     * @param  array<string, Tracks>  $tracks  by the entry's id in the form
     * @return array<int, KnownEntry> by position
     */
    private function known(PlacedForm $placed, array $tracks, string $today): array
    {
        $known = [];
        foreach ($tracks as $entry => $of) {
            $position = $placed->form->positionOf((string) $entry);
            $weaker = KnownEntry::weakerOf($of, Day::number($today), $this->school->get()->memory());
            if ($position !== null && $weaker !== null) {
                $known[$position] = $weaker;
            }
        }

        return $known;
    }
}
