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
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Patches;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\StudentPages;
use App\Models\CurrentSchool;
use App\Models\Entry;
use App\Models\Group;
use App\Models\Student;
use App\Policies\Ability;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Standing\BodySize;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** Everyone in the school, and each of them over time. */
final class StudentController extends Controller
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Reads('/api/students', 'students', 'Everyone by name', [StudentRow::class])]
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

    #[Reads('/api/groups/{group}/lines', 'studentLines', 'Where everyone in a group stands, in a line each', [StudentInGroup::class])]
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

    #[Reads('/api/students/{student}', 'student', 'A student', StudentPageData::class, query: ['on' => 'string'])]
    public function show(Request $request, Student $student, StudentPages $pages): JsonResponse
    {
        $request->validate(['on' => ['nullable', 'date_format:Y-m-d']]);

        return new JsonResponse($pages->of($student, $request->string('on')->value() ?: $this->school->today(), $this->viewer($request)->may(Ability::Plan)));
    }

    #[Reads('/api/students/{student}/line', 'studentLine', 'A student over time in the form of a group', [LinePointData::class], query: ['group!' => 'string'])]
    public function line(Request $request, Student $student, ReadStudent $read): JsonResponse
    {
        $given = $request->validate(['group' => ['required', 'uuid']]);
        $group = Group::with('form')->whereKey($given['group'])->first() ?? throw Refused::because(Message::of('group.unknown'), 'group');

        return new JsonResponse(array_map(LinePointData::of(...), $read->line($student, $group, $group->form->placed())));
    }

    #[Reads('/api/students/{student}/curve', 'recallCurve', 'The history of one movement', [RecallCurveData::class], query: ['entry!' => 'string'])]
    public function curve(Request $request, Student $student, ReadStudent $read): JsonResponse
    {
        $given = $request->validate(['entry' => ['required', 'uuid']]);
        $entry = Entry::find($given['entry']);
        if ($entry === null || $entry->position === null) {
            throw Refused::because(Message::of('gone.entry'), 'entry');
        }
        $curves = [];
        foreach ($entry->sided ? [Side::Left, Side::Right] : [null] as $side) {
            $curve = $read->curve($student, $entry, $side);
            $points = array_map(static fn (int $day, float $recall): RecallPointData => new RecallPointData(Day::text($day), $recall), array_keys($curve->points), array_values($curve->points));
            $contacts = array_map(static fn ($step): RecallContactData => new RecallContactData(Day::text($step->day), $step->fact->kind->value, $step->fact->level?->name, $step->fact->side?->value, $step->before), $curve->contacts);
            $curves[] = new RecallCurveData($entry->position, $side?->value, $points, $contacts);
        }

        return new JsonResponse($curves);
    }

    #[Patches('/api/students/{student}', 'renameStudent', 'Renamed', takes: ['name' => 'string', 'isOther?' => 'boolean'], mayConflict: true)]
    public function rename(Request $request, Student $student, RenameStudent $rename): Response
    {
        $given = $request->validate(['name' => ['required', 'string', 'max:120'], 'isOther' => ['boolean']]);
        $rename($student, $given['name'], (bool) ($given['isOther'] ?? false));

        return response()->noContent();
    }

    #[Puts('/api/students/{student}/details', 'keepStudentDetails', 'Kept', takes: ['email' => 'string|null', 'size' => 'enum:small,middle,large|null', 'was?' => ['email' => 'string|null', 'size' => 'string|null']], status: 204, mayConflict: true)]
    public function details(Request $request, Student $student): Response
    {
        $given = $request->validate(['email' => ['present', 'nullable', 'string', 'email:rfc', 'max:254'], 'size' => ['present', 'nullable', Rule::enum(BodySize::class)]]);
        $now = Student::lockForUpdate()->findOrFail($student->id);
        self::unlessChanged($request->input('was'), ['email' => $now->email, 'size' => $now->size], $given);
        $now->update(['email' => $given['email'], 'size' => $given['size']]);

        return response()->noContent();
    }

    #[Puts('/api/students/{student}/pause', 'pauseStudent', 'Paused, or back', takes: ['isPaused' => 'boolean'], status: 204)]
    public function pause(Request $request, Student $student, PauseStudent $pause): Response
    {
        $given = $request->validate(['isPaused' => ['required', 'boolean']]);
        $pause($student, (bool) $given['isPaused']);

        return response()->noContent();
    }

    #[Puts('/api/students/{student}/list', 'listStudent', 'Off the list, or on it', takes: ['isOff' => 'boolean'], status: 204)]
    public function onList(Request $request, Student $student, KeepList $list): Response
    {
        $given = $request->validate(['isOff' => ['required', 'boolean']]);
        $given['isOff'] ? $list->off($student) : $list->on($student);

        return response()->noContent();
    }

    #[Makes('/api/students/{student}/joined', 'joinStudents', 'Made one', takes: ['other' => 'string', 'isSure?' => 'boolean'], status: 204, mayConflict: true)]
    public function join(Request $request, Student $student, JoinStudents $people): Response
    {
        $given = $request->validate(['other' => ['required', 'uuid'], 'isSure' => ['boolean']]);
        $people->together($student, Student::find($given['other']) ?? throw Refused::because(Message::of('students.not_here'), 'other'), (bool) ($given['isSure'] ?? false));

        return response()->noContent();
    }

    #[Makes('/api/students/{student}/apart', 'takeApart', 'Two again', status: 204)]
    public function apart(Student $student, JoinStudents $people): Response
    {
        $people->apart($student);

        return response()->noContent();
    }
}
