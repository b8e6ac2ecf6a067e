<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\GroupKeepings;
use App\Actions\NextLesson;
use App\Actions\ReadStudent;
use App\Actions\TaughtEntries;
use App\Http\Data\CatchUpData;
use App\Http\Data\FadingData;
use App\Http\Data\FormRefData;
use App\Http\Data\GroupPrinciplesData;
use App\Http\Data\StudentClassData;
use App\Http\Data\StudentData;
use App\Http\Data\StudentFormData;
use App\Http\Data\StudentGroupData;
use App\Http\Data\StudentKeepings;
use App\Http\Data\StudentKeepingsIn;
use App\Http\Data\StudentMarkData;
use App\Http\Data\StudentNameData;
use App\Http\Data\StudentPageData;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\GroupMember;
use App\Models\LoggedClass;
use App\Models\Mark;
use App\Models\Student;
use App\Record\FactSource;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\CatchUp;
use Gorvan\Core\Standing\Fading;
use Gorvan\Core\Standing\StudentStanding;
use Illuminate\Support\Facades\DB;

/** A student's page: where they stand, what is fading, what is missing, and what was noted of them. */
final class StudentPages
{
    /** So many classes are told, the latest first. */
    private const MOST_CLASSES = 60;

    private const MOST_FADING = 8;

    public function __construct(
        private readonly ReadStudent $read,
        private readonly NextLesson $lesson,
        private readonly TaughtEntries $taught,
        private readonly GroupKeepings $keepings,
        private readonly CurrentSchool $school,
    ) {
    }

    /** @param  bool  $hasAddress  whether the reader keeps the people, and so their addresses */
    public function of(Student $student, string $on, bool $hasAddress): StudentPageData
    {
        $memberships = GroupMember::where('student_id', $student->id)->orderBy('joined_on')->get();
        /** @var \Illuminate\Database\Eloquent\Collection<string, Group> $groups */
        $groups = Group::with('form', 'principles')->whereIn('id', $memberships->pluck('group_id'))->get()->keyBy('id');
        $current = $groups->only($memberships->whereNull('left_on')->pluck('group_id')->all());

        $records = FactSource::list($student->records());
        $same = $student->same_as === null ? null : Student::find($student->same_as);

        return new StudentPageData(
            $student->id,
            $student->name,
            $on,
            array_values($memberships->map(fn (GroupMember $one): StudentGroupData => $this->membership($one, $groups[$one->group_id]->name ?? '', $records))->all()),
            array_values($current->map(fn (Group $group): StudentFormData => $this->form($student, $group, $on))->all()),
            array_values(array_filter($current->map(fn (Group $group): ?StudentKeepingsIn => $this->principles($student, $group, $on))->all())),
            $this->classes($student, array_values($memberships->pluck('group_id')->unique()->all())),
            $memberships->contains('is_paused', true),
            $student->off_list_at !== null,
            array_values(Student::where('same_as', $student->id)->orderBy('name')->get()->map(StudentNameData::of(...))->all()),
            $same === null ? null : StudentNameData::of($same),
            $hasAddress ? $student->email : null,
            $student->size,
        );
    }

    /** @param  string  $records  of the student, as PostgreSQL writes a list */
    private function membership(GroupMember $one, string $name, string $records): StudentGroupData
    {
        $rows = LoggedClass::standing()->where('group_id', $one->group_id)->whereNotNull('meeting_id')->where('on', '>=', $one->joined_on)
            ->when($one->left_on !== null, static fn ($logs) => $logs->where('on', '<=', $one->left_on))->toBase()
            ->selectRaw('count(*) as classes, count(*) filter (where students && ?::uuid[]) as came', [$records])->first();

        return new StudentGroupData($one->group_id, $name, $one->joined_on, $one->left_on, (int) ($rows->came ?? 0), (int) ($rows->classes ?? 0));
    }

    private function form(Student $student, Group $group, string $on): StudentFormData
    {
        $placed = $group->form->placed();
        $taught = $this->taught->by($group->id, $placed, $on);
        $tracks = $this->read->tracks($student, $placed, $on);
        $model = $this->school->get()->memory();
        $standing = StudentStanding::of($placed->form, $tracks, Day::number($on), $model);
        $next = ($this->lesson)($group, $placed);
        $recap = $placed->form->passageOf($next->recap ?? []);
        $review = $placed->form->positionsOf(array_merge([], ...array_map(static fn ($one): array => $one->entries, $next->review ?? [])));

        $catchUp = CatchUp::of($placed->form, $standing, $taught, $recap, $review);

        return new StudentFormData(
            $group->id,
            FormRefData::of($group->form),
            StudentData::of($student, $standing, $taught, $recap),
            $taught,
            array_map(static fn (Fading $one): FadingData => new FadingData($one->position, Day::text($one->day), $one->recall), array_slice(Fading::of($placed->form, $tracks, $standing, $model), 0, self::MOST_FADING)),
            array_map(CatchUpData::of(...), $catchUp),
            CatchUp::minutesOf($catchUp),
        );
    }

    private function principles(Student $student, Group $group, string $on): ?StudentKeepingsIn
    {
        $set = GroupPrinciplesData::of($group);
        $own = $set === null ? [] : ($this->keepings)($group, $on, [$student->id]);

        return $set === null ? null : new StudentKeepingsIn($group->name, $set, StudentKeepings::all($own)[0]->keepings ?? []);
    }

    /**
     * @param  list<string>  $groups
     * @return list<StudentClassData>
     */
    private function classes(Student $student, array $groups): array
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, LoggedClass> $logs */
        $logs = LoggedClass::standing()->whereNotNull('meeting_id')
            ->where(static fn ($any) => $any->whereIn('group_id', $groups)->orWhereRaw('students && ?::uuid[]', [FactSource::list($student->records())]))
            ->orderByDesc('on')->orderByDesc('made_at')->limit(self::MOST_CLASSES)->get();
        $names = Group::whereIn('id', $logs->pluck('group_id'))->pluck('name', 'id');
        $marks = $this->marks($student, array_values($logs->pluck('meeting_id')->all()));
        $told = [];
        foreach ($logs as $row) {
            $log = $row->log();
            $told[] = new StudentClassData((string) $row->meeting_id, $row->on, $names[$row->group_id] ?? '', array_intersect($student->records(), $log->there()) !== [], $log->note, $marks[$row->meeting_id] ?? []);
        }

        return $told;
    }

    /**
     * @param  list<string|null>  $meetings
     * @return array<string, list<StudentMarkData>> by meeting
     */
    private function marks(Student $student, array $meetings): array
    {
        $rows = Mark::standing()->whereIn('marks.student_id', $student->records())->whereIn('marks.meeting_id', $meetings)->orderBy('marks.at')->get();
        $titles = DB::table('entries')->where('school_id', $student->school_id)->whereIn('id', $rows->pluck('entry_id')->filter())->selectRaw("id, document->>'title' as title, document->>'number' as number")->get()->keyBy('id');
        $principles = DB::table('principles')->where('school_id', $student->school_id)->whereIn('id', $rows->pluck('principle_id')->filter())->pluck('title', 'id');
        $steps = DB::table('drill_steps')->where('school_id', $student->school_id)->whereIn('id', $rows->pluck('drill_step_id')->filter())->pluck('title', 'id');
        $told = [];
        foreach ($rows as $mark) {
            $entry = $titles[$mark->entry_id] ?? null;
            $what = $principles[$mark->principle_id] ?? $steps[$mark->drill_step_id] ?? trim(($entry->number ?? '').' '.($entry->title ?? ''));
            $told[$mark->meeting_id][] = new StudentMarkData($what, $mark->side, $mark->principle_id !== null, $mark->level());
        }

        return $told;
    }
}
