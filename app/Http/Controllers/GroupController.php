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
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use App\Models\PrincipleSet;
use App\Models\Student;
use DateTimeImmutable;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Principle\FocusChooser;
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

    #[Reads('/api/groups', 'groups', 'The groups of the school', [GroupSummary::class])]
    public function index(): JsonResponse
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Group> $groups */
        $groups = GroupSummary::counted()->orderBy('name')->get();

        return new JsonResponse($groups->map(GroupSummary::of(...))->all());
    }

    #[Makes('/api/groups', 'makeGroup', 'Made', GroupSummary::class, takes: ['name' => 'string', 'room?' => 'string|null', 'form' => 'string', 'students' => ['string'], 'same?' => ['*' => 'string'], 'others?' => ['string']], status: 201, mayConflict: true)]
    public function store(Request $request, FillGroup $fill): JsonResponse
    {
        $given = $request->validate([
            'name' => ['required', 'string', 'max:120'],
            'room' => ['nullable', 'string', 'max:120'],
            'form' => ['required', 'uuid'],
            'students' => ['present', 'array', 'max:'.config('gorvan.limits.students')],
            ...self::people(),
        ]);
        $form = Form::find($given['form']) ?? throw Refused::because(Message::of('group.form'), 'form');
        $group = DB::transaction(static function () use ($given, $form, $fill): Group {
            $group = Group::create(['name' => $given['name'], 'room' => $given['room'] ?? null, 'form_id' => $form->id]);
            $fill($group, array_values($given['students']), null, $given['same'] ?? [], array_values($given['others'] ?? []));

            return $group;
        });

        return new JsonResponse($this->summary($group), 201);
    }

    #[Reads('/api/groups/{group}', 'group', 'A group and where everyone stands', GroupData::class, query: ['on' => 'string'])]
    public function show(Request $request, Group $group, GroupStandings $standings, TaughtEntries $taught, NextLesson $lesson, LessonCutter $cutter, GroupCourse $in): JsonResponse
    {
        $request->validate(['on' => ['nullable', 'date_format:Y-m-d']]);
        $on = $request->string('on')->value() ?: $this->school->today();
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

    #[Makes('/api/groups/{group}/before', 'taughtBefore', 'Kept', takes: ['id' => 'string', 'to?' => 'integer', 'passages?' => [['from' => 'integer', 'to' => 'integer']], 'on?' => 'string|null', 'at' => 'string'], status: 204)]
    public function before(Request $request, Group $group, SayTaughtBefore $say): Response
    {
        $given = $request->validate([
            'id' => ['required', 'ulid'],
            'to' => ['required_without:passages', 'integer', 'min:1', 'max:'.self::MOST_INTEGER],
            'passages' => ['sometimes', 'array', 'min:1', 'max:300'],
            'passages.*.from' => ['required', 'integer', 'min:1', 'max:'.self::MOST_INTEGER],
            'passages.*.to' => ['required', 'integer', 'gte:passages.*.from', 'max:'.self::MOST_INTEGER],
            'on' => ['nullable', 'date_format:Y-m-d'],
            'at' => ['required', $this->instant()],
        ]);
        /** @var non-empty-list<Passage> $passages */
        $passages = array_map(static fn (array $one): Passage => new Passage((int) $one['from'], (int) $one['to']), array_values($given['passages'] ?? [['from' => 1, 'to' => $given['to']]]));
        usort($passages, static fn (Passage $a, Passage $b): int => $a->from <=> $b->from);
        $say($group, strtoupper($given['id']), $passages, $given['on'] ?? null, new DateTimeImmutable($given['at']), $this->viewer($request));

        return response()->noContent();
    }

    #[Makes('/api/groups/{group}/students', 'addStudents', 'Added', AddedData::class, takes: ['students' => ['string'], 'same?' => ['*' => 'string'], 'others?' => ['string']], status: 201, mayConflict: true)]
    public function addStudents(Request $request, Group $group, FillGroup $fill): JsonResponse
    {
        $given = $request->validate([
            'students' => ['required', 'array', 'min:1', 'max:'.config('gorvan.limits.students')],
            ...self::people(),
        ]);
        $added = $fill($group, array_values($given['students']), null, $given['same'] ?? [], array_values($given['others'] ?? []));

        return new JsonResponse(new AddedData($this->summary($group), array_map(static fn (Student $student): string => $student->id, $added)), 201);
    }

    #[Removes('/api/groups/{group}/students', 'removeStudents', 'Off the list', takes: ['students' => ['string']])]
    public function removeStudents(Request $request, Group $group, RemoveStudents $remove): Response
    {
        $given = $request->validate([
            'students' => ['required', 'array', 'min:1', 'max:'.config('gorvan.limits.students')],
            'students.*' => ['required', 'uuid'],
        ]);
        $remove($group, array_values($given['students']));

        return response()->noContent();
    }

    #[Makes('/api/groups/{group}/move', 'moveStudent', 'Moved', takes: ['student' => 'string', 'to' => 'string'], status: 204)]
    public function move(Request $request, Group $group, MoveStudent $move): Response
    {
        $given = $request->validate(['student' => ['required', 'uuid'], 'to' => ['required', 'uuid', 'different:group']]);
        $student = $group->students()->whereKey($given['student'])->first() ?? throw Refused::because(Message::of('students.not_in_group'), 'student');
        $to = Group::find($given['to']);
        $move($student, $group, $to === null || $to->id === $group->id ? throw Refused::because(Message::of('group.unknown'), 'to') : $to);

        return response()->noContent();
    }

    #[Reads('/api/groups/{group}/removal', 'groupRemoval', 'What would go with it', RemovalData::class)]
    public function removal(Group $group, RemoveGroup $remove): JsonResponse
    {
        return new JsonResponse(RemovalData::of($remove->would($group)));
    }

    #[Removes('/api/groups/{group}', 'removeGroup', 'Taken back', mayConflict: true)]
    public function destroy(Group $group, RemoveGroup $remove): Response
    {
        $remove($group);

        return response()->noContent();
    }

    #[Reads('/api/groups/{group}/principles', 'groupPrinciples', 'Where everyone stands in the principles', GroupKeepingsData::class, query: ['on' => 'string'])]
    public function principles(Request $request, Group $group, GroupKeepings $keepings): JsonResponse
    {
        $request->validate(['on' => ['nullable', 'date_format:Y-m-d']]);
        $on = $request->string('on')->value() ?: $this->school->today();

        return new JsonResponse(GroupKeepingsData::of($group, $on, $keepings($group, $on)));
    }

    #[Puts('/api/groups/{group}/principles', 'choosePrinciples', 'Chosen', takes: ['set' => 'string|null', 'focuses' => 'integer'], status: 204)]
    public function choosePrinciples(Request $request, Group $group, ChoosePrinciples $choose): Response
    {
        $given = $request->validate(['set' => ['present', 'nullable', 'uuid'], 'focuses' => ['required', 'integer', 'min:'.Group::WHOLE_FAMILY, 'max:'.FocusChooser::MOST]]);
        $set = $given['set'] === null ? null : PrincipleSet::find($given['set']) ?? throw Refused::because(Message::of('principles.unknown'), 'set');
        $choose($group, $set, (int) $given['focuses']);

        return response()->noContent();
    }

    #[Puts('/api/groups/{group}/room', 'markRoomCold', 'Marked', takes: ['isCold' => 'boolean'], status: 204)]
    public function room(Request $request, Group $group, MarkRoomCold $mark): Response
    {
        $given = $request->validate(['isCold' => ['required', 'boolean']]);
        $mark($group, (bool) $given['isCold']);

        return response()->noContent();
    }

    private function summary(Group $group): GroupSummary
    {
        return GroupSummary::of(GroupSummary::counted()->findOrFail($group->id));
    }

    /** @return array<string, list<string>> */
    private static function people(): array
    {
        return [
            'students.*' => ['required', 'string', 'max:120'],
            'same' => ['array', 'max:'.config('gorvan.limits.students')],
            'same.*' => ['required', 'uuid'],
            'others' => ['array', 'max:'.config('gorvan.limits.students')],
            'others.*' => ['required', 'string', 'max:120'],
        ];
    }
}
