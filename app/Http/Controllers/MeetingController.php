<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\GroupStandings;
use App\Actions\ReadCare;
use App\Actions\TaughtEntries;
use App\Http\Data\AttendanceData;
use App\Http\Data\ComingData;
use App\Http\Data\CourseFormData;
use App\Http\Data\GroupPrinciplesData;
use App\Http\Data\MarkData;
use App\Http\Data\MeetingData;
use App\Http\Data\MeetingRow;
use App\Http\Data\StudentCareData;
use App\Http\Data\StudentData;
use App\Http\Data\StudentKeepings;
use App\Http\Data\TermSummary;
use App\Http\Data\TodayData;
use App\Http\Data\TonightWarmUps;
use App\Http\Data\UnsaidData;
use App\Http\Season;
use App\Http\Tonight;
use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use App\Models\GroupMember;
use App\Models\LoggedClass;
use App\Models\Mark;
use App\Models\Meeting;
use App\Models\PlacedForm;
use App\Models\Student;
use App\Models\Term;
use App\Shared\Description\Operation;
use ArrayObject;
use DateTimeImmutable;
use Gorvan\Core\Reading\Day;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

final class MeetingController extends Controller
{
    /** How many meetings that went by are asked about at once. */
    private const MOST_UNSAID = 12;

    /** A device keeps so many classes: the next of every group, and all of so many days from today. */
    private const MOST_COMING = 40;

    private const DAYS_COMING = 7;

    /** @var array<string, Form> forms read once a request */
    private array $forms = [];

    /** @var array<string, PlacedForm> */
    private array $placed = [];

    public function __construct(
        private readonly CurrentSchool $school,
        private readonly GroupStandings $standings,
        private readonly TaughtEntries $taught,
        private readonly Season $season,
        private readonly ReadCare $readCare,
    ) {
    }

    #[Operation('today', 'What is on today', TodayData::class)]
    public function today(Tonight $tonight): JsonResponse
    {
        $today = $this->school->today();
        [$meetings, $next, $nextTerm] = $tonight->of($today);
        $course = $next?->term->courses->first();
        $has = DB::query()->select(['form' => Form::select('id')->limit(1), 'group' => Group::select('id')->limit(1), 'term' => Term::select('id')->limit(1)])->first();
        [$went, $ahead] = [$this->went($today), $this->ahead($today)];
        $logged = $this->logged(array_values([...$went, ...$ahead->pluck('id')->all()]));

        return new JsonResponse(new TodayData(
            $today,
            $meetings,
            $this->unsaid($went, $logged),
            $next === null || $course === null ? null : MeetingRow::of($next, $tonight->form($course)->form, $course, null, $this->school),
            $nextTerm,
            isset($has->form),
            isset($has->group),
            isset($has->term),
            $this->school->get()->is_demo && ! Term::where('ends_on', '>=', $today)->exists(),
            $this->coming($ahead, $logged, $today),
        ));
    }

    #[Operation('meeting', 'A meeting', MeetingData::class)]
    public function show(Meeting $meeting): JsonResponse
    {
        // Whether the term is being planned is asked before the meeting is read: a plan that is written in between is shown, or asked
        // for again, and never an old one as the new.
        $term = TermSummary::withCounts()->whereKey($meeting->term_id)->firstOrFail();
        $meeting->refresh()->setRelation('term', $term);
        $courses = $this->coursesOf($term);
        $course = $courses->firstOrFail();
        $placed = $this->form($course);
        $log = $meeting->standingLog();
        Season::line($term->newCollection([$term]));
        $held = Season::in($placed, $this->season->taughtAt($term->meetings->modelKeys()));
        $others = $this->others($courses);
        $forms = [$course->id => $placed->form, ...$others];
        $row = MeetingRow::of($meeting, $placed->form, $course, $held[$meeting->id] ?? null, $this->school, $others);
        $recap = $placed->form->passageOf($meeting->planned()?->course($course->id)->recap ?? []);
        $given = $this->taught->by($term->group_id, $placed, $this->school->today());
        $guests = $meeting->guests($log);
        [$standings, $keepings] = $this->standings->withKeepings($term->group, $placed, $this->school->today(), $guests);

        return new JsonResponse(new MeetingData(
            TermSummary::of($term),
            $row,
            $placed->id,
            $course->id,
            $given,
            array_map(static fn (array $one): StudentData => StudentData::of($one[0], $one[1], $given, $recap), $standings),
            new ArrayObject(AttendanceData::of($meeting, $log)),
            $guests,
            Mark::standing()->where('meeting_id', $meeting->id)->orderBy('at')->orderBy('id')->get()->map(static fn (Mark $mark): MarkData => new MarkData(
                $mark->id, $mark->student_id, $mark->entry_id, $mark->principle_id, $mark->drill_step_id, $mark->side, $mark->level(), $mark->at->toRfc3339String(),
            ))->all(),
            $this->season->ticksOf($term->meetings, $course, $held),
            Season::closures($term),
            $log?->id,
            self::named($courses),
            ...$this->sinceLast($meeting),
            room: $meeting->room ?? $term->room ?? $term->group->room,
            principles: GroupPrinciplesData::of($term->group),
            keepings: StudentKeepings::all($keepings),
            warmUps: $this->warmUps($meeting, $forms),
            care: $this->care($meeting, $forms),
        ));
    }

    /** @return Collection<int, stdClass> the classes from today on by instant: of those only what chooses among them and names them is read */
    private function ahead(string $today): Collection
    {
        return Meeting::query()->join('terms', static fn ($on) => $on->on('terms.id', '=', 'meetings.term_id')->on('terms.school_id', '=', 'meetings.school_id'))
            ->join('groups', static fn ($on) => $on->on('groups.id', '=', 'terms.group_id')->on('groups.school_id', '=', 'terms.school_id'))
            ->where('meetings.on', '>=', $today)->where('meetings.state', '<>', 'cancelled')->orderBy('meetings.starts_at')
            ->toBase()->get(['meetings.id', 'meetings.on', 'meetings.starts_at', 'meetings.term_id', 'terms.group_id', 'groups.name']);
    }

    /**
     * @param  Collection<int, stdClass>  $ahead
     * @param  array<string, mixed>  $logged  by meeting
     * @return list<ComingData> the next class of every group and all of the coming days, today's among them: what a device keeps
     */
    private function coming(Collection $ahead, array $logged, string $today): array
    {
        $until = Day::text(Day::number($today) + self::DAYS_COMING);
        $coming = $groups = [];
        foreach ($ahead as $one) {
            if (! isset($logged[$one->id]) && count($coming) < self::MOST_COMING) {
                $one->on < $until || ! isset($groups[$one->group_id]) ? $coming[] = $one : null;
                $groups[$one->group_id] = true;
            }
        }
        $courses = [];
        /** @var \Illuminate\Database\Eloquent\Collection<int, Course> $rows */
        $rows = Course::with('form:id,school_id,title,version')->whereIn('term_id', array_unique(array_column($coming, 'term_id')))->orderBy('ordinal')->get();
        foreach ($rows as $course) {
            $courses[$course->term_id][] = CourseFormData::of($course);
        }
        $zone = $this->school->zone();

        return array_map(static fn (stdClass $one): ComingData => new ComingData($one->id, $one->name, $one->on, (new DateTimeImmutable($one->starts_at))->setTimezone($zone)->format(DATE_RFC3339), $courses[$one->term_id] ?? []), $coming);
    }

    /** @param  array<string, \Gorvan\Core\Form\Form>  $forms  by course */
    private function warmUps(Meeting $meeting, array $forms): TonightWarmUps
    {
        return TonightWarmUps::of($meeting->planned(), $forms, $this->school->get()->warmUps(), $meeting->term->group->is_room_cold);
    }

    /**
     * @param  array<string, \Gorvan\Core\Form\Form>  $forms  by course
     * @return list<StudentCareData>
     */
    private function care(Meeting $meeting, array $forms): array
    {
        return StudentCareData::all(($this->readCare)($meeting, $forms), $this->readCare->names($meeting), $forms, $this->school->get()->warmUps());
    }

    /**
     * The forms of the courses after the first.
     *
     * @param  \Illuminate\Database\Eloquent\Collection<int, Course>  $courses
     * @return array<string, \Gorvan\Core\Form\Form> by course
     */
    private function others(\Illuminate\Database\Eloquent\Collection $courses): array
    {
        return $courses->slice(1)->mapWithKeys(fn (Course $one): array => [$one->id => $this->form($one)->form])->all();
    }

    /**
     * @param  \Illuminate\Database\Eloquent\Collection<int, Course>  $courses
     * @return list<CourseFormData>
     */
    private static function named(\Illuminate\Database\Eloquent\Collection $courses): array
    {
        return array_values($courses->map(CourseFormData::of(...))->all());
    }

    /**
     * Who was away at the class before this one, and who has joined since.
     *
     * @return array{awayLast: list<string>, newcomers: list<string>}
     */
    private function sinceLast(Meeting $meeting): array
    {
        $last = LoggedClass::standing()->where('group_id', $meeting->term->group_id)->whereNotNull('meeting_id')->where('on', '<', $meeting->on)->orderByDesc('on')->orderByDesc('made_at')->first();
        if ($last === null) {
            return ['awayLast' => [], 'newcomers' => []];
        }
        $members = GroupMember::where('group_id', $meeting->term->group_id)->whereNull('left_on')->pluck('joined_on', 'student_id')->all();
        $new = array_keys(array_filter($members, static fn (string $joined): bool => $joined > $last->on));
        $away = array_diff(array_keys($members), $new, $last->log()->there());
        $names = static fn (array $ids): array => $ids === [] ? [] : array_values(Student::whereIn('id', $ids)->orderBy('name')->pluck('name')->all());

        return ['awayLast' => $names($away), 'newcomers' => $names($new)];
    }

    /** @return list<string> the meetings of running terms that went by, the latest first */
    private function went(string $today): array
    {
        $running = Term::where('ends_on', '>=', $today)->where('starts_on', '<', $today);
        $since = (clone $running)->min('starts_on');

        // The years before are not looked through for what no running term can have.
        return $since === null ? [] : array_values(Meeting::whereIn('term_id', $running->select('id'))->where('on', '>=', $since)->where('on', '<', $today)->where('state', '<>', 'cancelled')
            ->orderByDesc('starts_at')->toBase()->pluck('id')->all());
    }

    /**
     * @param  list<string>  $went  meetings, the latest first
     * @param  array<string, mixed>  $logged  by meeting
     * @return list<UnsaidData> those nobody has said anything of
     */
    private function unsaid(array $went, array $logged): array
    {
        $unsaid = array_slice(array_values(array_filter($went, static fn (string $id): bool => ! isset($logged[$id]))), 0, self::MOST_UNSAID);
        if ($unsaid === []) {
            return [];
        }
        /** @var \Illuminate\Database\Eloquent\Collection<int, Meeting> $meetings */
        $meetings = Meeting::with('term:id,school_id,group_id', 'term.group:id,school_id,name')->whereKey($unsaid)->orderByDesc('starts_at')->get(['id', 'school_id', 'term_id', 'on', 'starts_at']);

        return array_values($meetings->map(static fn (Meeting $meeting): UnsaidData => new UnsaidData($meeting->id, $meeting->term->group->name, $meeting->on))->all());
    }

    /**
     * @param  list<string>  $meetings
     * @return array<string, mixed> those that have a log which stands, by meeting
     */
    private function logged(array $meetings): array
    {
        return $meetings === [] ? [] : LoggedClass::standing()->whereIn('meeting_id', $meetings)->toBase()->pluck('id', 'meeting_id')->all();
    }

    /**
     * The courses of a term with their forms, each read once a request, however many terms learn it.
     *
     * @return \Illuminate\Database\Eloquent\Collection<int, Course>
     */
    private function coursesOf(Term $term): \Illuminate\Database\Eloquent\Collection
    {
        $courses = $term->courses()->get();
        foreach ($courses as $course) {
            $course->setRelation('form', $this->forms[$course->form_id] ??= Form::findOrFail($course->form_id));
        }
        $term->setRelation('courses', $courses);

        return $courses;
    }

    private function form(Course $course): PlacedForm
    {
        return $this->placed[$course->form_id] ??= $course->form->placed();
    }
}
