<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\GroupStandings;
use App\Actions\LogClass;
use App\Actions\NewMark;
use App\Actions\RecordMarks;
use App\Actions\TakeAttendance;
use App\Actions\TaughtEntries;
use App\Actions\WithdrawFacts;
use App\Http\Data\CourseFormData;
use App\Http\Data\MarkData;
use App\Http\Data\MeetingData;
use App\Http\Data\MeetingRow;
use App\Http\Data\ReadinessData;
use App\Http\Data\StudentData;
use App\Http\Data\TermSummary;
use App\Http\Data\TodayData;
use App\Http\Data\TonightData;
use App\Http\Data\UnsaidData;
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\Season;
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
use DateTimeImmutable;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Record\ClassLog;
use Gorvan\Core\Record\Support;
use Gorvan\Core\Standing\Readiness;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

final class MeetingController extends Controller
{
    /** How many meetings that went by are asked about at once. */
    private const MOST_UNSAID = 12;

    /** @var array<string, PlacedForm> forms read once a request */
    private array $placed = [];

    public function __construct(
        private readonly CurrentSchool $school,
        private readonly GroupStandings $standings,
        private readonly TaughtEntries $taught,
        private readonly Season $season,
    ) {
    }

    #[Reads('/api/today', 'today', 'What is on today', TodayData::class)]
    public function today(): JsonResponse
    {
        $today = $this->school->today();
        /** @var \Illuminate\Database\Eloquent\Collection<int, Meeting> $meetings */
        $meetings = Meeting::with('term')->where('on', $today)->where('state', '<>', 'cancelled')->orderBy('starts_at')->get();
        /** @var Meeting|null $next */
        $next = Meeting::with('term.courses.form')->where('on', '>', $today)->where('state', '<>', 'cancelled')->orderBy('starts_at')->first();
        $course = $next?->term->courses->first();

        return new JsonResponse(new TodayData(
            $today,
            array_values($meetings->map($this->tonight(...))->all()),
            $this->unsaid($today),
            $next === null || $course === null ? null : MeetingRow::of($next, $this->form($course)->form, $course->id, null, $this->school),
            $next === null ? null : TermSummary::find($next->term_id),
            Form::exists(),
            Group::exists(),
            Term::exists(),
            $this->school->get()->is_demo && ! Term::where('ends_on', '>=', $today)->exists(),
        ));
    }

    #[Reads('/api/meetings/{meeting}', 'meeting', 'A meeting', MeetingData::class)]
    public function show(Meeting $meeting): JsonResponse
    {
        $term = $meeting->term;
        $courses = $term->courses()->with('form.entries')->get();
        $course = $courses->firstOrFail();
        $placed = $this->form($course);
        $log = $meeting->standingLog();
        $taught = $this->season->taught([$meeting->id], $placed)[$meeting->id] ?? null;
        $row = MeetingRow::of($meeting, $placed->form, $course->id, $taught, $this->school, $this->others($courses));
        $recap = $placed->form->passageOf($meeting->planned()?->course($course->id)->recap ?? []);
        $given = $this->taught->by($term->group_id, $placed, $this->school->today());

        return new JsonResponse(new MeetingData(
            TermSummary::find($term->id),
            $row,
            $placed->id,
            $course->id,
            $given,
            array_map(static fn (array $one): StudentData => StudentData::of($one[0], $one[1], $given, $recap), ($this->standings)($term->group, $placed, $this->school->today())),
            (object) $this->present($meeting, $log),
            Mark::standing()->where('meeting_id', $meeting->id)->orderBy('at')->orderBy('id')->get()->map(static fn (Mark $mark): MarkData => new MarkData(
                $mark->id, $mark->student_id, $mark->entry_id, $mark->side, $mark->support->name, $mark->at->toRfc3339String(),
            ))->all(),
            $this->season->ticks($term, $placed, $course->id),
            Season::closures($term),
            $log?->id,
            self::named($courses),
            ...$this->sinceLast($meeting),
            room: $meeting->room ?? $term->room ?? $term->group->room,
        ));
    }

    #[Puts('/api/meetings/{meeting}/attendance', 'takeAttendance', 'Noted', takes: ['present' => ['*' => 'boolean']], status: 204, mayConflict: true)]
    public function attendance(Request $request, Meeting $meeting, TakeAttendance $take): Response
    {
        $given = $request->validate(['present' => ['required', 'array', 'max:200'], 'present.*' => ['required', 'boolean']]);
        $take($meeting, array_map(static fn (mixed $is): bool => (bool) $is, $given['present']), $this->viewer($request));

        return response()->noContent();
    }

    #[Makes('/api/meetings/{meeting}/marks', 'recordMarks', 'Those marked, as they stand now', [StudentData::class], takes: ['marks' => [['id' => 'string', 'student' => 'string', 'entry' => 'string', 'side?' => 'enum:left,right|null', 'support' => 'string', 'at' => 'string']]], mayConflict: true)]
    public function marks(Request $request, Meeting $meeting, RecordMarks $record): JsonResponse
    {
        $given = $request->validate([
            'marks' => ['required', 'array', 'min:1', 'max:'.config('gorvan.limits.marks')],
            'marks.*.id' => ['required', 'ulid'],
            'marks.*.student' => ['required', 'uuid'],
            'marks.*.entry' => ['required', 'uuid'],
            'marks.*.side' => ['nullable', Rule::in([Side::Left->value, Side::Right->value])],
            'marks.*.support' => ['required', Rule::in(array_column(Support::cases(), 'name'))],
            'marks.*.at' => ['required', $this->instant()],
        ]);
        $marks = array_map(static fn (array $mark): NewMark => new NewMark(
            strtoupper($mark['id']),
            $mark['student'],
            $mark['entry'],
            Support::named($mark['support']) ?? Support::Unmet,
            new DateTimeImmutable($mark['at']),
            isset($mark['side']) ? Side::from($mark['side']) : null,
        ), array_values($given['marks']));
        $record($meeting, $marks, $this->viewer($request));
        $course = $meeting->term->courses()->with('form.entries')->firstOrFail();
        $placed = $this->form($course);
        $recap = $placed->form->passageOf($meeting->planned()?->course($course->id)->recap ?? []);
        $taught = $this->taught->by($meeting->term->group_id, $placed, $this->school->today());
        $students = array_values(array_unique(array_map(static fn (NewMark $mark): string => $mark->student, $marks)));

        return new JsonResponse(array_map(
            static fn (array $one): StudentData => StudentData::of($one[0], $one[1], $taught, $recap),
            ($this->standings)($meeting->term->group, $placed, $this->school->today(), $students),
        ));
    }

    #[Makes('/api/withdrawals', 'withdraw', 'Taken back', takes: ['withdrawals' => [['id' => 'string', 'of' => 'string', 'at' => 'string']]], status: 204, mayConflict: true)]
    public function withdraw(Request $request, WithdrawFacts $withdraw): Response
    {
        $given = $request->validate([
            'withdrawals' => ['required', 'array', 'min:1', 'max:'.config('gorvan.limits.marks')],
            'withdrawals.*.id' => ['required', 'ulid'],
            'withdrawals.*.of' => ['required', 'ulid'],
            'withdrawals.*.at' => ['required', $this->instant()],
        ]);
        $withdraw(array_map(static fn (array $one): array => [
            'id' => strtoupper($one['id']),
            'of' => strtoupper($one['of']),
            'at' => new DateTimeImmutable($one['at']),
        ], array_values($given['withdrawals'])), $this->viewer($request));

        return response()->noContent();
    }

    #[Makes('/api/meetings/{meeting}/log', 'logClass', 'Logged', takes: ['format' => 'string', 'id' => 'string', 'on' => 'string', 'made_at' => 'string', 'minutes?' => 'number', 'present' => ['string'], 'did' => ['any']], status: 204, mayConflict: true)]
    public function log(Request $request, Meeting $meeting, LogClass $log): Response
    {
        // Read by core from the text itself, as a file is, so that `{}` and `[]` stay apart.
        $sent = ClassLog::read(JsonNode::parse($request->getContent()));
        $request->merge(['id' => strtoupper($sent->id)]);
        $request->validate(['id' => ['required', 'ulid']]);
        $log($meeting, $sent, $this->viewer($request));

        return response()->noContent();
    }

    private function tonight(Meeting $meeting): TonightData
    {
        $term = $meeting->term;
        $courses = $term->courses()->with('form.entries')->get();
        $course = $courses->firstOrFail();
        $placed = $this->form($course);
        $this->season->keepCurrent($term);
        $taught = $this->season->taught([$meeting->id], $placed)[$meeting->id] ?? null;
        $recap = $placed->form->passageOf($meeting->planned()?->course($course->id)->recap ?? []);
        $entries = array_map($placed->idAt(...), $recap?->positions() ?? []);
        $standings = ($this->standings)($term->group, $placed, $this->school->today(), null, $entries);

        return new TonightData(
            TermSummary::find($term->id),
            MeetingRow::of($meeting, $placed->form, $course->id, $taught, $this->school, $this->others($courses)),
            $placed->id,
            $course->id,
            $this->taught->by($term->group_id, $placed, $this->school->today()),
            ReadinessData::of(array_map(static fn (array $one): ?Readiness => $one[1]->readiness($recap), $standings)),
            $this->season->ticks($term, $placed, $course->id),
            Season::closures($term),
            self::named($courses),
        );
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
        return array_values($courses->map(static fn (Course $one): CourseFormData => new CourseFormData($one->id, $one->form_id, $one->form->title))->all());
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
        $names = static fn (array $ids): array => array_values(Student::whereIn('id', $ids)->orderBy('name')->pluck('name')->all());

        return ['awayLast' => $names($away), 'newcomers' => $names($new)];
    }

    /** @return list<UnsaidData> the latest first */
    private function unsaid(string $today): array
    {
        $running = Term::where('ends_on', '>=', $today)->where('starts_on', '<', $today);
        $meetings = Meeting::with('term.group')->whereIn('term_id', $running->select('id'))->where('on', '<', $today)->where('state', '<>', 'cancelled')
            ->whereDoesntHave('logs', static fn ($logs) => $logs->standing())->orderByDesc('starts_at')->limit(self::MOST_UNSAID)->get();

        return array_values($meetings->map(static fn (Meeting $meeting): UnsaidData => new UnsaidData($meeting->id, $meeting->term->group->name, $meeting->on))->all());
    }

    /** @return array<string, bool> who was there: as the log says, or as is noted so far */
    private function present(Meeting $meeting, ?LoggedClass $log): array
    {
        if ($log === null) {
            return $meeting->attendances()->pluck('is_present', 'student_id')->all();
        }
        $members = array_fill_keys($meeting->term->group->membersSince($meeting->on)->pluck('id')->all(), false);

        return [...$members, ...array_fill_keys($log->log()->there(), true)];
    }

    private function form(Course $course): PlacedForm
    {
        return $this->placed[$course->form_id] ??= $course->form->placed();
    }
}
