<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DescribeGroup;
use App\Actions\LogClass;
use App\Actions\NewMark;
use App\Actions\RecordMarks;
use App\Actions\TakeAttendance;
use App\Actions\WithdrawFacts;
use App\Http\Data\FormData;
use App\Http\Data\MarkData;
use App\Http\Data\MeetingData;
use App\Http\Data\MeetingRow;
use App\Http\Data\StudentData;
use App\Http\Data\TodayData;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use App\Models\Mark;
use App\Models\Meeting;
use App\Models\Term;
use App\Models\Withdrawal;
use Closure;
use DateTimeImmutable;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Memory\Support;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

final class MeetingController extends Controller
{
    public function __construct(
        private readonly CurrentSchool $school,
        private readonly DescribeGroup $describe,
    ) {
    }

    #[OA\Get(path: '/api/today', operationId: 'today', responses: [new OA\Response(response: 200, description: 'What is on today', content: new OA\JsonContent(ref: TodayData::class))])]
    public function today(): JsonResponse
    {
        $today = $this->school->today();
        $meetings = Meeting::where('on', $today)->orderBy('starts_at')->get();
        $next = Meeting::where('on', '>', $today)->with('term.group', 'term.form', 'term.meetings')->orderBy('starts_at')->first();

        return new JsonResponse(new TodayData(
            $today,
            $meetings->map($this->described(...))->all(),
            $next === null ? null : MeetingRow::of($next, $next->term->form->score(), $this->school),
            $next === null ? null : TermController::summary($next->term),
            Form::exists(),
            Group::exists(),
            Term::exists(),
            $this->school->get()->is_demo && ! Term::where('ends_on', '>=', $today)->exists(),
        ));
    }

    #[OA\Get(path: '/api/meetings/{meeting}', operationId: 'meeting', parameters: [new OA\PathParameter(name: 'meeting', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'A meeting', content: new OA\JsonContent(ref: MeetingData::class))])]
    public function show(Meeting $meeting): JsonResponse
    {
        return new JsonResponse($this->described($meeting));
    }

    #[OA\Put(path: '/api/meetings/{meeting}/attendance', operationId: 'takeAttendance', parameters: [new OA\PathParameter(name: 'meeting', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['present'], properties: [new OA\Property(property: 'present', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'boolean'))])), responses: [new OA\Response(response: 204, description: 'Noted'), new OA\Response(response: 409, ref: '#/components/responses/Problem'), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function attendance(Request $request, Meeting $meeting, TakeAttendance $take): Response
    {
        $given = $request->validate(['present' => ['required', 'array', 'max:200'], 'present.*' => ['required', 'boolean']]);
        $take($meeting, array_map(static fn (mixed $is): bool => (bool) $is, $given['present']), $this->person($request));

        return response()->noContent();
    }

    #[OA\Post(path: '/api/meetings/{meeting}/marks', operationId: 'recordMarks', parameters: [new OA\PathParameter(name: 'meeting', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['marks'], properties: [new OA\Property(property: 'marks', type: 'array', items: new OA\Items(required: ['id', 'student', 'entry', 'support', 'at'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'student', type: 'string'), new OA\Property(property: 'entry', type: 'string'), new OA\Property(property: 'side', type: 'string', enum: ['left', 'right'], nullable: true), new OA\Property(property: 'support', type: 'string'), new OA\Property(property: 'at', type: 'string')]))])), responses: [new OA\Response(response: 200, description: 'Where the students named stand now', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: StudentData::class))), new OA\Response(response: 409, ref: '#/components/responses/Problem'), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
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
        $record($meeting, $marks, $this->person($request));
        $score = $meeting->term->form->score();

        return new JsonResponse(($this->describe)(
            $meeting->term->group,
            $score,
            $this->school->today(),
            $score->passage($meeting->plan['recap'] ?? null),
            array_values(array_unique(array_map(static fn (NewMark $mark): string => $mark->student, $marks))),
        ));
    }

    #[OA\Post(path: '/api/withdrawals', operationId: 'withdraw', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['withdrawals'], properties: [new OA\Property(property: 'withdrawals', type: 'array', items: new OA\Items(required: ['id', 'of', 'at'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'of', type: 'string'), new OA\Property(property: 'at', type: 'string')]))])), responses: [new OA\Response(response: 204, description: 'Taken back'), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
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
        ], array_values($given['withdrawals'])), $this->person($request));

        return response()->noContent();
    }

    #[OA\Post(path: '/api/meetings/{meeting}/log', operationId: 'logClass', parameters: [new OA\PathParameter(name: 'meeting', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['id', 'at'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'at', type: 'string')])), responses: [new OA\Response(response: 204, description: 'Logged'), new OA\Response(response: 409, ref: '#/components/responses/Problem'), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function log(Request $request, Meeting $meeting, LogClass $log): Response
    {
        $given = $request->validate(['id' => ['required', 'ulid'], 'at' => ['required', $this->instant()]]);
        $log($meeting, strtoupper($given['id']), new DateTimeImmutable($given['at']), $this->person($request));

        return response()->noContent();
    }

    private function described(Meeting $meeting): MeetingData
    {
        $term = $meeting->loadMissing('term.group.students', 'term.form', 'term.meetings')->term;
        $score = $term->form->score();
        $withdrawn = Withdrawal::query()->select('of');

        return new MeetingData(
            TermController::summary($term),
            MeetingRow::of($meeting, $score, $this->school),
            FormData::saved($term->form, $score),
            ($this->describe)($term->group, $score, $this->school->today(), $score->passage($meeting->plan['recap'] ?? null)),
            (object) $meeting->attendances()->pluck('is_present', 'student_id')->all(),
            Mark::where('meeting_id', $meeting->id)->whereNotIn('id', $withdrawn)->orderBy('at')->orderBy('id')->get()->map(static fn (Mark $mark): MarkData => new MarkData(
                $mark->id, $mark->student_id, $mark->entry_id, $mark->side, $mark->support->name, $mark->at->toRfc3339String(),
            ))->all(),
            TermController::rows($term, $score, $this->school),
            TermController::closures($term),
            $meeting->log_id,
        );
    }

    /** An instant with its offset, not later than a clock that runs ten minutes fast would say. */
    private function instant(): Closure
    {
        return static function (string $attribute, mixed $value, Closure $fail): void {
            try {
                $at = Instant::read(JsonNode::of($value, $attribute));
            } catch (BadInput $e) {
                $fail($e->getMessage().'.');

                return;
            }
            if ($at > now()->addMinutes(10)) {
                $fail("$attribute: $value lies in the future. Check this device's clock.");
            }
        };
    }
}
