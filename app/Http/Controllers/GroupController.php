<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChoosePrinciples;
use App\Actions\FillGroup;
use App\Actions\GroupCourse;
use App\Actions\GroupKeepings;
use App\Actions\GroupStandings;
use App\Actions\MarkRoomCold;
use App\Actions\MoveStudent;
use App\Actions\NextLesson;
use App\Actions\Refused;
use App\Actions\RemoveGroup;
use App\Actions\RemoveStudents;
use App\Actions\SayTaughtBefore;
use App\Actions\TaughtEntries;
use App\Classes\Requests\RoomCold;
use App\Http\Data\AddedData;
use App\Http\Data\FormRefData;
use App\Http\Data\GroupData;
use App\Http\Data\GroupKeepingsData;
use App\Http\Data\GroupPrinciplesData;
use App\Http\Data\GroupSummary;
use App\Http\Data\LessonTakenData;
use App\Http\Data\PassageData;
use App\Http\Data\RemovalData;
use App\Http\Data\StudentData;
use App\Http\FormEdition;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use App\Models\PrincipleSet;
use App\Models\Student;
use App\People\Requests\GroupMove;
use App\People\Requests\Leaving;
use App\People\Requests\NewGroup;
use App\People\Requests\NewStudents;
use App\People\Requests\TaughtBefore;
use App\Principles\Requests\ChosenPrinciples;
use App\Shared\Description\Operation;
use App\Shared\Requests\OnQuery;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Standing\LessonTaken;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

final class GroupController extends Controller
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Operation('groups', 'The groups of the school', [GroupSummary::class])]
    public function index(): JsonResponse
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Group> $groups */
        $groups = GroupSummary::counted()->orderBy('name')->get();

        return new JsonResponse($groups->map(GroupSummary::of(...))->all());
    }

    #[Operation('makeGroup', 'Made', GroupSummary::class, status: 201, mayConflict: true)]
    public function store(NewGroup $sent, FillGroup $fill): JsonResponse
    {
        $form = Form::find($sent->form) ?? throw Refused::because(Message::of('group.form'), 'form');
        $group = DB::transaction(static function () use ($sent, $form, $fill): Group {
            $group = Group::create(['name' => $sent->name, 'room' => $sent->room, 'form_id' => $form->id]);
            $fill($group, $sent->students, null, $sent->same, $sent->others);

            return $group;
        });

        return new JsonResponse($this->summary($group), 201);
    }

    #[Operation('group', 'A group and where everyone stands', GroupData::class)]
    public function show(OnQuery $as, Group $group, GroupStandings $standings, TaughtEntries $taught, NextLesson $lesson, LessonCutter $cutter, GroupCourse $in): JsonResponse
    {
        $on = $as->on ?? $this->school->today();
        $placed = $group->form->placed();
        $next = $lesson($group, $placed);
        $recap = $placed->form->passageOf($next->recap ?? []);
        $given = $taught->by($group->id, $placed, $on);
        $everyone = $standings($group, $placed, $on);
        $course = $in($group, $on);
        $cut = $course?->kept($cutter, $placed, []) ?? $group->form->cut($cutter, $placed);
        $lessons = [];
        foreach ($cut->lessons as $one) {
            $lessons[$one->number] = new Passage($one->from, $one->to);
        }

        return new JsonResponse(new GroupData(
            $this->summary($group),
            $on,
            $course === null ? FormRefData::of($group->form) : new FormRefData($group->form_id, $group->form->title, FormEdition::inCourse($course)),
            $course?->id,
            $given,
            PassageData::of($recap),
            $next?->lesson?->number,
            array_map(static fn (array $one): StudentData => StudentData::of($one[0], $one[1], $given, $recap), $everyone),
            GroupPrinciplesData::of($group),
            array_map(LessonTakenData::of(...), LessonTaken::of($placed->form, $lessons, array_column($everyone, 1), $given)),
            $course === null || $course->keeps !== null ? null : count($cut->left($placed->form, array_fill_keys($given, true))),
        ));
    }

    #[Operation('taughtBefore', 'Kept', status: 204)]
    public function before(Request $request, TaughtBefore $sent, Group $group, SayTaughtBefore $say): Response
    {
        $say($group, strtoupper($sent->id), $sent->inOrder(), $sent->on, $sent->at, $this->viewer($request));

        return response()->noContent();
    }

    #[Operation('addStudents', 'Added', AddedData::class, status: 201, mayConflict: true)]
    public function addStudents(NewStudents $sent, Group $group, FillGroup $fill): JsonResponse
    {
        $added = $fill($group, $sent->students, null, $sent->same, $sent->others);

        return new JsonResponse(new AddedData($this->summary($group), array_map(static fn (Student $student): string => $student->id, $added)), 201);
    }

    #[Operation('removeStudents', 'Off the list')]
    public function removeStudents(Leaving $sent, Group $group, RemoveStudents $remove): Response
    {
        $remove($group, $sent->students);

        return response()->noContent();
    }

    #[Operation('moveStudent', 'Moved', status: 204)]
    public function move(GroupMove $sent, Group $group, MoveStudent $move): Response
    {
        $student = $group->students()->whereKey($sent->student)->first() ?? throw Refused::because(Message::of('students.not_in_group'), 'student');
        $to = Group::find($sent->to);
        $move($student, $group, $to === null || $to->id === $group->id ? throw Refused::because(Message::of('group.unknown'), 'to') : $to);

        return response()->noContent();
    }

    #[Operation('groupRemoval', 'What would go with it', RemovalData::class)]
    public function removal(Group $group, RemoveGroup $remove): JsonResponse
    {
        return new JsonResponse(RemovalData::of($remove->would($group)));
    }

    #[Operation('removeGroup', 'Taken back', mayConflict: true)]
    public function destroy(Group $group, RemoveGroup $remove): Response
    {
        $remove($group);

        return response()->noContent();
    }

    #[Operation('groupPrinciples', 'Where everyone stands in the principles', GroupKeepingsData::class)]
    public function principles(OnQuery $as, Group $group, GroupKeepings $keepings): JsonResponse
    {
        $on = $as->on ?? $this->school->today();

        return new JsonResponse(GroupKeepingsData::of($group, $on, $keepings($group, $on)));
    }

    #[Operation('choosePrinciples', 'Chosen', status: 204)]
    public function choosePrinciples(ChosenPrinciples $sent, Group $group, ChoosePrinciples $choose): Response
    {
        $set = $sent->set === null ? null : PrincipleSet::find($sent->set) ?? throw Refused::because(Message::of('principles.unknown'), 'set');
        $choose($group, $set, $sent->focuses);

        return response()->noContent();
    }

    #[Operation('markRoomCold', 'Marked', status: 204)]
    public function room(RoomCold $sent, Group $group, MarkRoomCold $mark): Response
    {
        $mark($group, $sent->isCold);

        return response()->noContent();
    }

    private function summary(Group $group): GroupSummary
    {
        return GroupSummary::of(GroupSummary::counted()->findOrFail($group->id));
    }
}
