<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\LayTerm;
use App\Actions\Refused;
use App\Actions\RemoveTerm;
use App\Http\Data\ClosureData;
use App\Http\Data\DateData;
use App\Http\Data\DatesData;
use App\Http\Data\FormData;
use App\Http\Data\MeetingRow;
use App\Http\Data\TermData;
use App\Http\Data\TermSummary;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Meeting;
use App\Models\Score;
use App\Models\Term;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\MeetingDate;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'NewTerm', required: ['group', 'title', 'from', 'to', 'pattern', 'closures', 'approach'], properties: [
    new OA\Property(property: 'group', type: 'string'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'from', type: 'string'),
    new OA\Property(property: 'to', type: 'string'),
    new OA\Property(property: 'pattern', type: 'array', items: new OA\Items(required: ['weekday', 'at', 'minutes'], properties: [new OA\Property(property: 'weekday', type: 'string'), new OA\Property(property: 'at', type: 'string'), new OA\Property(property: 'minutes', type: 'integer')])),
    new OA\Property(property: 'closures', type: 'array', items: new OA\Items(ref: ClosureData::class)),
    new OA\Property(property: 'approach', type: 'string', enum: ['outline', 'pieces', 'sides']),
])]
final class TermController extends Controller
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[OA\Get(path: '/api/terms', operationId: 'terms', responses: [new OA\Response(response: 200, description: 'The terms of the school', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: TermSummary::class)))])]
    public function index(): JsonResponse
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Term> $terms */
        $terms = Term::with('group', 'form', 'meetings')->orderByDesc('starts_on')->get();

        return new JsonResponse($terms->map(self::summary(...))->all());
    }

    #[OA\Post(path: '/api/terms/preview', operationId: 'previewTerm', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewTerm')), responses: [new OA\Response(response: 200, description: 'The dates it would have', content: new OA\JsonContent(ref: DatesData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function preview(Request $request, LayTerm $lay): JsonResponse
    {
        [$group, $given] = $this->given($request);
        $dates = $lay->dates($given);

        return new JsonResponse(new DatesData(
            array_map(static fn (MeetingDate $date): DateData => new DateData($date->on, $date->starts->format(DATE_ATOM), $date->minutes), $dates->meetings),
            $dates->warnings,
            $group->form->lessons()->count(),
        ));
    }

    #[OA\Post(path: '/api/terms', operationId: 'layTerm', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewTerm')), responses: [new OA\Response(response: 201, description: 'Laid', content: new OA\JsonContent(ref: TermSummary::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function store(Request $request, LayTerm $lay): JsonResponse
    {
        [$group, $given] = $this->given($request);
        $term = $lay($group, $given['title'], $given, Approach::from($given['approach']));

        return new JsonResponse(self::summary($term->load('group', 'form', 'meetings')), 201);
    }

    #[OA\Get(path: '/api/terms/{term}', operationId: 'term', parameters: [new OA\PathParameter(name: 'term', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'A term laid out', content: new OA\JsonContent(ref: TermData::class))])]
    public function show(Term $term): JsonResponse
    {
        $term->load('group', 'form', 'meetings');
        $score = $term->form->score();

        return new JsonResponse(new TermData(
            self::summary($term),
            FormData::saved($term->form, $score),
            $term->approach->value,
            $term->approach->minutesPerLoad(),
            self::closures($term),
            self::rows($term, $score, $this->school),
            $term->warnings,
        ));
    }

    #[OA\Delete(path: '/api/terms/{term}', operationId: 'removeTerm', parameters: [new OA\PathParameter(name: 'term', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 204, description: 'Taken back'), new OA\Response(response: 409, ref: '#/components/responses/Problem')])]
    public function destroy(Term $term, RemoveTerm $remove): Response
    {
        $remove($term);

        return response()->noContent();
    }

    public static function summary(Term $term): TermSummary
    {
        return new TermSummary(
            $term->id,
            $term->title,
            $term->group_id,
            $term->group->name,
            $term->form->title,
            $term->starts_on,
            $term->ends_on,
            $term->meetings->count(),
            $term->meetings->whereNotNull('log_id')->count(),
        );
    }

    /** @return list<MeetingRow> by instant */
    public static function rows(Term $term, Score $score, CurrentSchool $school): array
    {
        return array_values($term->meetings->sortBy('starts_at')->map(static fn (Meeting $meeting): MeetingRow => MeetingRow::of($meeting, $score, $school))->all());
    }

    /** @return list<ClosureData> */
    public static function closures(Term $term): array
    {
        return array_map(static fn (array $closure): ClosureData => new ClosureData($closure['from'], $closure['to']), $term->closures);
    }

    /** @return array{Group, array{title: string, approach: string, from: string, to: string}} */
    private function given(Request $request): array
    {
        /** @var array{group: string, title: string, approach: string, from: string, to: string} $given */
        $given = $request->validate([
            'group' => ['required', 'uuid'],
            'title' => ['required', 'string', 'max:120'],
            'from' => ['required', 'date_format:Y-m-d'],
            'to' => ['required', 'date_format:Y-m-d'],
            'pattern' => ['required', 'array', 'min:1', 'max:50'],
            'pattern.*.weekday' => ['required', 'string'],
            'pattern.*.at' => ['required', 'string'],
            'pattern.*.minutes' => ['required', 'integer', 'min:10', 'max:480'],
            'closures' => ['present', 'array', 'max:200'],
            'closures.*.from' => ['required', 'date_format:Y-m-d'],
            'closures.*.to' => ['required', 'date_format:Y-m-d'],
            'approach' => ['required', Rule::enum(Approach::class)],
        ], [], [
            'title' => 'name',
            'from' => 'first day',
            'to' => 'last day',
            'pattern.*.weekday' => 'weekday',
            'pattern.*.at' => 'time',
            'pattern.*.minutes' => 'minutes',
            'closures.*.from' => 'first day of a closure',
            'closures.*.to' => 'last day of a closure',
        ]);
        $group = Group::find($given['group']) ?? throw Refused::because('That group is not in this school. Choose one of its groups.', 'group');

        return [$group, $given];
    }
}
