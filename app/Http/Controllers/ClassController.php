<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddGuest;
use App\Actions\GroupStandings;
use App\Actions\LogClass;
use App\Actions\NewMark;
use App\Actions\Noted;
use App\Actions\RecordMarks;
use App\Actions\Refused;
use App\Actions\TakeAttendance;
use App\Actions\TaughtEntries;
use App\Actions\TonightPartner;
use App\Actions\TonightPartners;
use App\Actions\WithdrawFacts;
use App\Http\ClassPage;
use App\Http\Data\ClassData;
use App\Http\Data\LogData;
use App\Http\Data\PairsData;
use App\Http\Data\PodsData;
use App\Http\Data\PodStudentData;
use App\Http\Data\StudentData;
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Models\PlacedForm;
use DateTimeImmutable;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Record\ClassLog;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Support;
use Gorvan\Core\Standing\BodySize;
use Gorvan\Core\Standing\Pairable;
use Gorvan\Core\Standing\Pairs;
use Gorvan\Core\Standing\Pods;
use Gorvan\Core\Term\PlannedReview;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** A class on the floor and after it: who is here, what was seen, what it did hold. */
final class ClassController extends Controller
{
    /** Minutes; nobody comes later than a day after the start. */
    private const MOST_MINUTES = 1440;

    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Reads('/api/meetings/{meeting}/class', 'class', 'What a device needs to run a class: cues, whom to look at, where to stop', ClassData::class)]
    public function show(Meeting $meeting, ClassPage $page): JsonResponse
    {
        return new JsonResponse($page($meeting));
    }

    #[Reads('/api/meetings/{meeting}/pods', 'pods', 'Those who are here in pods, and what they have to catch up with', PodsData::class, query: ['count' => 'integer'])]
    public function pods(Request $request, Meeting $meeting, GroupStandings $standings, TaughtEntries $taught): JsonResponse
    {
        $given = $request->validate(['count' => ['nullable', 'integer', 'min:'.Pods::USUAL, 'max:'.Pods::MOST]]);
        $course = $meeting->term->courses()->with('form')->firstOrFail();
        $placed = $course->form->placed();
        $part = $meeting->planned()?->course($course->id);
        $known = $taught->by($meeting->term->group_id, $placed, $this->school->today());
        $recap = $placed->form->passageOf($part->recap ?? []);
        $review = $placed->form->positionsOf(array_merge([], ...array_map(static fn (PlannedReview $one): array => $one->entries, $part->review ?? [])));

        return new JsonResponse(PodsData::of($course->id, $placed->form, $this->here($meeting, $placed, $standings), (int) ($given['count'] ?? Pods::USUAL), $known, $recap, $review));
    }

    #[Reads('/api/meetings/{meeting}/pairs', 'pairs', 'Who works with whom in a partner drill, among those who are here and want to', PairsData::class, query: ['lesson' => 'string', 'without' => 'string'])]
    public function pairs(Request $request, Meeting $meeting, GroupStandings $standings, TonightPartners $partners): JsonResponse
    {
        $given = $request->validate(['lesson' => ['required', 'uuid'], 'without' => ['nullable', 'string', 'max:8000']]);
        $one = array_values(array_filter($partners($meeting), static fn (TonightPartner $one): bool => $one->lesson->id === $given['lesson']))[0] ?? abort(404);
        $without = array_filter(explode(',', (string) ($given['without'] ?? '')));
        $aside = $partners->aside($one->drill, $partners->spared($meeting));
        $pairable = $by = $left = [];
        foreach ($this->here($meeting, $one->course->form->placed(), $standings) as [$student, $standing]) {
            if (in_array($student->id, $aside, true) || in_array($student->id, $without, true)) {
                $left[] = $student->name;

                continue;
            }
            $by[$student->id] = new PodStudentData($student->id, $student->name, $standing->frontier());
            $pairable[] = new Pairable($student->id, BodySize::tryFrom((string) $student->size), $standing->frontier() ?? 0);
        }

        return new JsonResponse(new PairsData(array_map(static fn (array $pair): array => array_map(static fn (string $id): PodStudentData => $by[$id], $pair), Pairs::of($pairable)), $left));
    }

    /**
     * Everyone who is here, as they stand in a form.
     *
     * @return list<array{\App\Models\Student, \Gorvan\Core\Standing\StudentStanding}>
     */
    private function here(Meeting $meeting, PlacedForm $placed, GroupStandings $standings): array
    {
        $away = $meeting->attendances()->where('is_present', false)->pluck('student_id')->all();

        return array_values(array_filter($standings($meeting->term->group, $placed, $this->school->today(), also: $meeting->guests($meeting->standingLog())), static fn (array $one): bool => ! in_array($one[0]->id, $away, true)));
    }

    #[Puts('/api/meetings/{meeting}/attendance', 'takeAttendance', 'Noted', takes: ['attendance' => ['*' => ['isHere' => 'boolean', 'isCareful?' => 'boolean', 'late?' => 'integer|null', 'left?' => 'integer|null', 'at?' => 'string']]], status: 204, mayConflict: true)]
    public function attendance(Request $request, Meeting $meeting, TakeAttendance $take): Response
    {
        $given = $request->validate([
            'attendance' => ['required', 'array', 'max:200'],
            'attendance.*.isHere' => ['required', 'boolean'],
            'attendance.*.isCareful' => ['nullable', 'boolean'],
            'attendance.*.late' => ['nullable', 'integer', 'min:0', 'max:'.self::MOST_MINUTES],
            'attendance.*.left' => ['nullable', 'integer', 'min:0', 'max:'.self::MOST_MINUTES],
            'attendance.*.at' => ['nullable', $this->instant()],
        ]);
        $take($meeting, array_map(static fn (array $one): Noted => new Noted(
            (bool) $one['isHere'],
            self::notLater($one['at'] ?? null),
            (bool) ($one['isCareful'] ?? false),
            $one['late'] ?? null,
            $one['left'] ?? null,
        ), $given['attendance']), $this->viewer($request));

        return response()->noContent();
    }

    #[Makes('/api/meetings/{meeting}/guests', 'addGuest', 'Here', takes: ['id' => 'string', 'name' => 'string', 'isFirstTime' => 'boolean', 'at' => 'string'], status: 204, mayConflict: true)]
    public function guest(Request $request, Meeting $meeting, AddGuest $add): Response
    {
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'name' => ['required', 'string', 'max:120'],
            'isFirstTime' => ['required', 'boolean'],
            'at' => ['required', $this->instant()],
        ]);
        $add($meeting, strtolower($given['id']), $given['name'], (bool) $given['isFirstTime'], self::notLater($given['at']), $this->viewer($request));

        return response()->noContent();
    }

    #[Makes('/api/meetings/{meeting}/marks', 'recordMarks', 'Those marked, as they stand now', [StudentData::class], takes: ['marks' => [['id' => 'string', 'student' => 'string', 'entry?' => 'string|null', 'principle?' => 'string|null', 'step?' => 'string|null', 'side?' => 'enum:left,right|null', 'support' => 'string', 'at' => 'string']]], mayConflict: true)]
    public function marks(Request $request, Meeting $meeting, RecordMarks $record, GroupStandings $standings, TaughtEntries $taught): JsonResponse
    {
        $given = $request->validate([
            'marks' => ['required', 'array', 'min:1', 'max:'.config('gorvan.limits.marks')],
            'marks.*.id' => ['required', 'ulid'],
            'marks.*.student' => ['required', 'uuid'],
            'marks.*.entry' => ['nullable', 'uuid'],
            'marks.*.principle' => ['nullable', 'uuid', 'required_without_all:marks.*.entry,marks.*.step'],
            'marks.*.step' => ['nullable', 'uuid'],
            'marks.*.side' => ['nullable', Rule::in([Side::Left->value, Side::Right->value])],
            'marks.*.support' => ['required', Rule::in([...array_column(Support::cases(), 'name'), ...array_column(Keeping::cases(), 'name')])],
            'marks.*.at' => ['required', $this->instant()],
        ]);
        $marks = array_map(self::mark(...), array_values($given['marks']), array_keys(array_values($given['marks'])));
        $record($meeting, $marks, $this->viewer($request));
        $course = $meeting->term->courses()->with('form')->firstOrFail();
        $placed = $course->form->placed();
        $recap = $placed->form->passageOf($meeting->planned()?->course($course->id)->recap ?? []);
        $known = $taught->by($meeting->term->group_id, $placed, $this->school->today());
        $students = array_values(array_unique(array_map(static fn (NewMark $mark): string => $mark->student, $marks)));

        return new JsonResponse(array_map(
            static fn (array $one): StudentData => StudentData::of($one[0], $one[1], $known, $recap),
            $standings($meeting->term->group, $placed, $this->school->today(), $students, also: $meeting->guests($meeting->standingLog())),
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

    #[Makes('/api/meetings/{meeting}/log', 'logClass', 'Logged', takes: ['format' => 'string', 'id' => 'string', 'on' => 'string', 'made_at' => 'string', 'minutes?' => 'number', 'present' => ['string'], 'careful?' => ['string'], 'guests?' => [['id' => 'string', 'name' => 'string', 'first_time?' => 'boolean']], 'late?' => ['*' => 'number'], 'left?' => ['*' => 'number'], 'did' => ['any'], 'first_next?' => ['string'], 'note?' => 'string', 'replaces?' => 'string'], status: 204, mayConflict: true)]
    public function log(Request $request, Meeting $meeting, LogClass $log): Response
    {
        // Read by core from the text itself, as a file is, so that `{}` and `[]` stay apart.
        $sent = ClassLog::read(JsonNode::parse($request->getContent()));
        $request->merge(['id' => strtoupper($sent->id)]);
        $request->validate(['id' => ['required', 'ulid']]);
        $log($meeting, $sent, $this->viewer($request));

        return response()->noContent();
    }

    #[Reads('/api/meetings/{meeting}/log', 'standingLog', 'What the class did hold, null where nobody has said', LogData::class)]
    public function logged(Meeting $meeting): JsonResponse
    {
        $log = $meeting->standingLog();

        return new JsonResponse(new LogData($log === null ? null : $log->log()->toData(), $log?->made_at->toRfc3339String()));
    }

    /** @param  array{id: string, student: string, entry?: string|null, principle?: string|null, step?: string|null, side?: string|null, support: string, at: string}  $mark */
    private static function mark(array $mark, int $at): NewMark
    {
        $principle = $mark['principle'] ?? null;

        return new NewMark(
            strtoupper($mark['id']),
            $mark['student'],
            $mark['entry'] ?? null,
            ($principle === null ? Support::named($mark['support']) : Keeping::named($mark['support']))
                ?? throw Refused::because(Message::of($principle === null ? 'mark.support' : 'mark.keeping', nth: $at + 1), "marks.$at.support"),
            new DateTimeImmutable($mark['at']),
            isset($mark['side']) ? Side::from($mark['side']) : null,
            $principle,
            $mark['step'] ?? null,
        );
    }

    /** When something was noted; by a clock that runs fast it was noted now. */
    private static function notLater(?string $at): DateTimeImmutable
    {
        $now = now()->toDateTimeImmutable();

        return $at === null ? $now : min(new DateTimeImmutable($at), $now);
    }
}
