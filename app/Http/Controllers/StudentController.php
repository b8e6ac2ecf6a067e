<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\JoinStudents;
use App\Actions\KeepList;
use App\Actions\PauseStudent;
use App\Actions\ReadStudent;
use App\Actions\Refused;
use App\Actions\RenameStudent;
use App\Actions\StandStudents;
use App\Http\Data\LinePointData;
use App\Http\Data\RecallContactData;
use App\Http\Data\RecallCurveData;
use App\Http\Data\RecallPointData;
use App\Http\Data\StudentGroupName;
use App\Http\Data\StudentInGroup;
use App\Http\Data\StudentPageData;
use App\Http\Data\StudentRow;
use App\Http\StudentPages;
use App\Models\CurrentSchool;
use App\Models\Entry;
use App\Models\Group;
use App\Models\Student;
use App\People\Requests\Listing;
use App\People\Requests\Pause;
use App\People\Requests\RecallCurveQuery;
use App\People\Requests\SameStudent;
use App\People\Requests\StudentDetails;
use App\People\Requests\StudentLineQuery;
use App\People\Requests\StudentName;
use App\Policies\Ability;
use App\Shared\Description\Operation;
use App\Shared\Requests\OnQuery;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Everyone in the school, and each of them over time. */
final class StudentController extends Controller
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Operation('students', 'Everyone by name', [StudentRow::class])]
    public function index(StandStudents $stand): JsonResponse
    {
        $seen = $stand->lastSeen();

        return new JsonResponse(array_map(static fn (Student $one): StudentRow => new StudentRow(
            $one->id,
            $one->name,
            $seen[$one->id] ?? null,
            array_values($one->groups->sortBy('name')->map(static fn (Group $group): StudentGroupName => new StudentGroupName($group->id, $group->name))->all()),
            $one->off_list_at !== null,
        ), $stand->everyone()));
    }

    #[Operation('studentLines', 'Where everyone in a group stands, in a line each', [StudentInGroup::class])]
    public function lines(Group $group, StandStudents $stand): JsonResponse
    {
        [$form, $standings] = $stand->in($group);
        $lines = [];
        foreach ($standings as $student => $standing) {
            $frontier = $standing->frontier();
            $lines[] = new StudentInGroup($student, $frontier === null ? null : $form->form->at($frontier)->number ?? $frontier, count($standing->holding()), count($standing->slipping()));
        }

        return new JsonResponse($lines);
    }

    #[Operation('student', 'A student', StudentPageData::class)]
    public function show(Request $request, OnQuery $as, Student $student, StudentPages $pages): JsonResponse
    {
        return new JsonResponse($pages->of($student, $as->on ?? $this->school->today(), $this->viewer($request)->may(Ability::Plan)));
    }

    #[Operation('studentLine', 'A student over time in the form of a group', [LinePointData::class])]
    public function line(StudentLineQuery $asked, Student $student, ReadStudent $read): JsonResponse
    {
        $group = Group::with('form')->whereKey($asked->group)->first() ?? throw Refused::because(Message::of('group.unknown'), 'group');

        return new JsonResponse(array_map(LinePointData::of(...), $read->line($student, $group, $group->form->placed())));
    }

    #[Operation('recallCurve', 'The history of one movement', [RecallCurveData::class])]
    public function curve(RecallCurveQuery $asked, Student $student, ReadStudent $read): JsonResponse
    {
        $entry = Entry::find($asked->entry);
        if ($entry === null || $entry->position === null) {
            throw Refused::because(Message::of('gone.entry'), 'entry');
        }
        $curves = [];
        foreach ($entry->sided ? [Side::Left, Side::Right] : [null] as $side) {
            $curve = $read->curve($student, $entry, $side);
            $points = array_map(static fn (int $day, float $recall): RecallPointData => new RecallPointData(Day::text($day), $recall), array_keys($curve->points), array_values($curve->points));
            $contacts = array_map(static fn ($step): RecallContactData => new RecallContactData(Day::text($step->day), $step->fact->kind, $step->fact->level, $step->fact->side, $step->before), $curve->contacts);
            $curves[] = new RecallCurveData($entry->position, $side, $points, $contacts);
        }

        return new JsonResponse($curves);
    }

    #[Operation('renameStudent', 'Renamed', mayConflict: true)]
    public function rename(StudentName $sent, Student $student, RenameStudent $rename): Response
    {
        $rename($student, $sent->name, $sent->isOther);

        return response()->noContent();
    }

    #[Operation('keepStudentDetails', 'Kept', status: 204, mayConflict: true)]
    public function details(StudentDetails $sent, Student $student): Response
    {
        $wanted = ['email' => $sent->email, 'size' => $sent->size];
        $now = Student::lockForUpdate()->findOrFail($student->id);
        self::unlessChanged($sent->was, ['email' => $now->email, 'size' => $now->size], $wanted);
        $now->update($wanted);

        return response()->noContent();
    }

    #[Operation('pauseStudent', 'Paused, or back', status: 204)]
    public function pause(Pause $sent, Student $student, PauseStudent $pause): Response
    {
        $pause($student, $sent->isPaused);

        return response()->noContent();
    }

    #[Operation('listStudent', 'Off the list, or on it', status: 204)]
    public function onList(Listing $sent, Student $student, KeepList $list): Response
    {
        $sent->isOff ? $list->off($student) : $list->on($student);

        return response()->noContent();
    }

    #[Operation('joinStudents', 'Made one', status: 204, mayConflict: true)]
    public function join(SameStudent $sent, Student $student, JoinStudents $people): Response
    {
        $people->together($student, Student::find($sent->other) ?? throw Refused::because(Message::of('students.not_here'), 'other'), $sent->isSure);

        return response()->noContent();
    }

    #[Operation('takeApart', 'Two again', status: 204)]
    public function apart(Student $student, JoinStudents $people): Response
    {
        $people->apart($student);

        return response()->noContent();
    }
}
