<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DescribeGroup;
use App\Actions\FillGroup;
use App\Actions\Refused;
use App\Actions\RemoveGroup;
use App\Actions\RemoveStudents;
use App\Actions\TaughtEntries;
use App\Http\Data\AddedData;
use App\Http\Data\FormData;
use App\Http\Data\GroupData;
use App\Http\Data\GroupSummary;
use App\Http\Data\PassageData;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use App\Models\Meeting;
use App\Models\Student;
use Gorvan\Core\Term\MeetingKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

final class GroupController extends Controller
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[OA\Get(path: '/api/groups', operationId: 'groups', responses: [new OA\Response(response: 200, description: 'The groups of the school', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: GroupSummary::class)))])]
    public function index(): JsonResponse
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Group> $groups */
        $groups = Group::with('form', 'terms')->withCount('students')->orderBy('name')->get();

        return new JsonResponse($groups->map($this->summary(...))->all());
    }

    #[OA\Post(path: '/api/groups', operationId: 'makeGroup', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['name', 'form', 'students'], properties: [new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'room', type: 'string', nullable: true), new OA\Property(property: 'form', type: 'string'), new OA\Property(property: 'students', type: 'array', items: new OA\Items(type: 'string'))])), responses: [new OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: GroupSummary::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function store(Request $request, FillGroup $fill): JsonResponse
    {
        $given = $request->validate([
            'name' => ['required', 'string', 'max:120'],
            'room' => ['nullable', 'string', 'max:120'],
            'form' => ['required', 'uuid'],
            'students' => ['present', 'array', 'max:'.config('gorvan.limits.students')],
            'students.*' => ['required', 'string', 'max:120'],
        ]);
        $form = Form::find($given['form']) ?? throw Refused::because('That form is not in this school. Choose one of its forms.', 'form');
        $group = DB::transaction(static function () use ($given, $form, $fill): Group {
            $group = Group::create(['name' => $given['name'], 'room' => $given['room'] ?? null, 'form_id' => $form->id]);
            $fill($group, array_values($given['students']));

            return $group;
        });

        return new JsonResponse($this->summary($group->load('form', 'terms')->loadCount('students')), 201);
    }

    #[OA\Get(path: '/api/groups/{group}', operationId: 'group', parameters: [new OA\PathParameter(name: 'group', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'on', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'Where everyone stands', content: new OA\JsonContent(ref: GroupData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function show(Request $request, Group $group, DescribeGroup $describe, TaughtEntries $taught): JsonResponse
    {
        $request->validate(['on' => ['nullable', 'date_format:Y-m-d']]);
        $on = $request->string('on')->value() ?: $this->school->today();
        $score = $group->form->score();
        $next = Meeting::whereNull('log_id')->where('on', '>=', $this->school->today())->where('kind', MeetingKind::Lesson)
            ->whereHas('term', static fn ($term) => $term->where('group_id', $group->id))->orderBy('starts_at')->first();
        $recap = $score->passage($next?->plan['recap'] ?? null);

        return new JsonResponse(new GroupData(
            $this->summary($group->load('form', 'terms')->loadCount('students')),
            $on,
            FormData::saved($group->form, $score),
            $taught($group->id, $score),
            PassageData::of($recap),
            $next?->plan['lesson_number'] ?? null,
            $describe($group, $score, $on, $recap),
        ));
    }

    #[OA\Post(path: '/api/groups/{group}/students', operationId: 'addStudents', parameters: [new OA\PathParameter(name: 'group', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['students'], properties: [new OA\Property(property: 'students', type: 'array', items: new OA\Items(type: 'string'))])), responses: [new OA\Response(response: 201, description: 'Added', content: new OA\JsonContent(ref: AddedData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function addStudents(Request $request, Group $group, FillGroup $fill): JsonResponse
    {
        $given = $request->validate([
            'students' => ['required', 'array', 'min:1', 'max:'.config('gorvan.limits.students')],
            'students.*' => ['required', 'string', 'max:120'],
        ]);
        $added = $fill($group, array_values($given['students']));

        return new JsonResponse(new AddedData(
            $this->summary($group->load('form', 'terms')->loadCount('students')),
            array_map(static fn (Student $student): string => $student->id, $added),
        ), 201);
    }

    #[OA\Delete(path: '/api/groups/{group}/students', operationId: 'removeStudents', parameters: [new OA\PathParameter(name: 'group', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['students'], properties: [new OA\Property(property: 'students', type: 'array', items: new OA\Items(type: 'string'))])), responses: [new OA\Response(response: 204, description: 'Taken out'), new OA\Response(response: 409, ref: '#/components/responses/Problem'), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function removeStudents(Request $request, Group $group, RemoveStudents $remove): Response
    {
        $given = $request->validate([
            'students' => ['required', 'array', 'min:1', 'max:'.config('gorvan.limits.students')],
            'students.*' => ['required', 'uuid'],
        ]);
        $remove($group, array_values($given['students']));

        return response()->noContent();
    }

    #[OA\Delete(path: '/api/groups/{group}', operationId: 'removeGroup', parameters: [new OA\PathParameter(name: 'group', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 204, description: 'Taken back'), new OA\Response(response: 409, ref: '#/components/responses/Problem')])]
    public function destroy(Group $group, RemoveGroup $remove): Response
    {
        $remove($group);

        return response()->noContent();
    }

    private function summary(Group $group): GroupSummary
    {
        return new GroupSummary(
            $group->id,
            $group->name,
            $group->room,
            $group->form_id,
            $group->form->title,
            (int) $group->getAttribute('students_count'),
            $group->terms->sortByDesc('starts_on')->first()?->id,
        );
    }
}
