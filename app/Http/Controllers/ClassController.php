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
use App\Classes\Requests\AttendanceNote;
use App\Classes\Requests\NewGuest;
use App\Classes\Requests\PairsQuery;
use App\Classes\Requests\PodsQuery;
use App\Classes\Requests\SentAttendance;
use App\Classes\Requests\SentMark;
use App\Classes\Requests\SentMarks;
use App\Classes\Requests\SentWithdrawal;
use App\Classes\Requests\Withdrawals;
use App\Http\ClassPage;
use App\Http\Data\ClassData;
use App\Http\Data\LogData;
use App\Http\Data\PairsData;
use App\Http\Data\PodsData;
use App\Http\Data\PodStudentData;
use App\Http\Data\StudentData;
use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Models\PlacedForm;
use App\Shared\Description\Operation;
use DateTimeImmutable;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Record\ClassLog;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Support;
use Gorvan\Core\Standing\Pairable;
use Gorvan\Core\Standing\Pairs;
use Gorvan\Core\Standing\Pods;
use Gorvan\Core\Term\PlannedReview;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A class on the floor and after it: who is here, what was seen, what it did hold. */
final class ClassController extends Controller
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Operation('class', 'What a device needs to run a class: cues, whom to look at, where to stop', ClassData::class)]
    public function show(Meeting $meeting, ClassPage $page): JsonResponse
    {
        return new JsonResponse($page($meeting));
    }

    #[Operation('pods', 'Those who are here in pods, and what they have to catch up with', PodsData::class)]
    public function pods(PodsQuery $asked, Meeting $meeting, GroupStandings $standings, TaughtEntries $taught): JsonResponse
    {
        $course = $meeting->term->courses()->with('form')->firstOrFail();
        $placed = $course->form->placed();
        $part = $meeting->planned()?->course($course->id);
        $known = $taught->by($meeting->term->group_id, $placed, $this->school->today());
        $recap = $placed->form->passageOf($part->recap ?? []);
        $review = $placed->form->positionsOf(array_merge([], ...array_map(static fn (PlannedReview $one): array => $one->entries, $part->review ?? [])));

        return new JsonResponse(PodsData::of($course->id, $placed->form, $this->here($meeting, $placed, $standings), $asked->count ?? Pods::USUAL, $known, $recap, $review));
    }

    #[Operation('pairs', 'Who works with whom in a partner drill, among those who are here and want to', PairsData::class)]
    public function pairs(PairsQuery $asked, Meeting $meeting, GroupStandings $standings, TonightPartners $partners): JsonResponse
    {
        $one = array_values(array_filter($partners($meeting), static fn (TonightPartner $one): bool => $one->lesson->id === $asked->lesson))[0] ?? abort(404);
        $without = array_filter(explode(',', (string) $asked->without));
        $aside = $partners->aside($one->drill, $partners->spared($meeting));
        $pairable = $by = $left = [];
        foreach ($this->here($meeting, $one->course->form->placed(), $standings) as [$student, $standing]) {
            if (in_array($student->id, $aside, true) || in_array($student->id, $without, true)) {
                $left[] = $student->name;

                continue;
            }
            $by[$student->id] = new PodStudentData($student->id, $student->name, $standing->frontier());
            $pairable[] = new Pairable($student->id, $student->size, $standing->frontier() ?? 0);
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

    #[Operation('takeAttendance', 'Noted', status: 204, mayConflict: true)]
    public function attendance(Request $request, SentAttendance $sent, Meeting $meeting, TakeAttendance $take): Response
    {
        $take($meeting, array_map(static fn (AttendanceNote $one): Noted => new Noted($one->isHere, self::notLater($one->at), $one->isCareful ?? false, $one->late, $one->left), $sent->attendance), $this->viewer($request));

        return response()->noContent();
    }

    #[Operation('addGuest', 'Here', status: 204, mayConflict: true)]
    public function guest(Request $request, NewGuest $sent, Meeting $meeting, AddGuest $add): Response
    {
        $add($meeting, strtolower($sent->id), $sent->name, $sent->isFirstTime, self::notLater($sent->at), $this->viewer($request));

        return response()->noContent();
    }

    #[Operation('recordMarks', 'Those marked, as they stand now', [StudentData::class], mayConflict: true)]
    public function marks(Request $request, SentMarks $sent, Meeting $meeting, RecordMarks $record, GroupStandings $standings, TaughtEntries $taught): JsonResponse
    {
        $marks = array_map(self::mark(...), $sent->marks, array_keys($sent->marks));
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

    #[Operation('withdraw', 'Taken back', status: 204, mayConflict: true)]
    public function withdraw(Request $request, Withdrawals $sent, WithdrawFacts $withdraw): Response
    {
        $withdraw(array_map(static fn (SentWithdrawal $one): array => ['id' => strtoupper($one->id), 'of' => strtoupper($one->of), 'at' => $one->at], $sent->withdrawals), $this->viewer($request));

        return response()->noContent();
    }

    #[Operation('logClass', 'Logged', mayConflict: true, takes: ClassLog::class)]
    public function log(Request $request, Meeting $meeting, LogClass $log): Response
    {
        // Read by core from the text itself, as a file is, so that `{}` and `[]` stay apart.
        $sent = ClassLog::read(JsonNode::parse($request->getContent()));
        $request->merge(['id' => strtoupper($sent->id)]);
        $request->validate(['id' => ['required', 'ulid']]);
        $log($meeting, $sent, $this->viewer($request));

        return response()->noContent();
    }

    #[Operation('standingLog', 'What the class did hold, null where nobody has said', LogData::class)]
    public function logged(Meeting $meeting): JsonResponse
    {
        $log = $meeting->standingLog();

        return new JsonResponse(new LogData($log === null ? null : $log->log()->toData(), $log?->made_at->toRfc3339String()));
    }

    private static function mark(SentMark $mark, int $at): NewMark
    {
        return new NewMark(
            strtoupper($mark->id),
            $mark->student,
            $mark->entry,
            ($mark->principle === null ? Support::named($mark->support) : Keeping::named($mark->support))
                ?? throw Refused::because(Message::of($mark->principle === null ? 'mark.support' : 'mark.keeping', nth: $at + 1), "marks.$at.support"),
            $mark->at,
            $mark->side,
            $mark->principle,
            $mark->step,
        );
    }

    /** When something was noted; by a clock that runs fast it was noted now. */
    private static function notLater(?DateTimeImmutable $at): DateTimeImmutable
    {
        $now = now()->toDateTimeImmutable();

        return $at === null ? $now : min($at, $now);
    }
}
