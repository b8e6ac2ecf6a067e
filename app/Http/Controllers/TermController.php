<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AskQuestion;
use App\Actions\LayTerm;
use App\Actions\NewCourse;
use App\Actions\Refused;
use App\Actions\RemoveTerm;
use App\Actions\SketchTerm;
use App\Http\Data\ClosureData;
use App\Http\Data\DateData;
use App\Http\Data\DatesData;
use App\Http\Data\NextTermData;
use App\Http\Data\RemovalData;
use App\Http\Data\TermData;
use App\Http\Data\TermSummary;
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Season;
use App\Http\SentPace;
use App\Http\TermPages;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\QuestionKind;
use App\Models\Term;
use App\Policies\Ability;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\MeetingDate;
use Gorvan\Core\Term\NextTerm;
use Gorvan\Core\Term\SaidPace;
use Gorvan\Core\Term\Showing;
use Gorvan\Core\Term\Weekday;
use Gorvan\Core\Term\WeeklyMeeting;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'NewTerm', required: ['group', 'title', 'from', 'to', 'pattern', 'closures', 'approach'], properties: [
    new OA\Property(property: 'group', type: 'string'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'from', type: 'string'),
    new OA\Property(property: 'to', type: 'string'),
    new OA\Property(property: 'pattern', type: 'array', items: new OA\Items(ref: '#/components/schemas/NewMeetingRow')),
    new OA\Property(property: 'closures', type: 'array', items: new OA\Items(ref: ClosureData::class)),
    new OA\Property(property: 'approach', type: 'string', enum: ['outline', 'piece', 'sides', 'whole']),
    new OA\Property(property: 'showing', type: 'object', nullable: true, required: ['on', 'to'], properties: [new OA\Property(property: 'on', type: 'string'), new OA\Property(property: 'to', type: 'integer')]),
    new OA\Property(property: 'pace', type: 'object', description: 'empty for what was learned or is usual', properties: [new OA\Property(property: 'movements', type: 'number', nullable: true), new OA\Property(property: 'minutes', type: 'number', nullable: true)]),
    new OA\Property(property: 'spread', type: 'boolean', nullable: true),
    new OA\Property(property: 'takesLessons', type: 'boolean', description: 'the lessons of the form as they are, where it has some of its own; else it is cut to this class'),
    new OA\Property(property: 'after', type: 'string', nullable: true, description: 'the term it follows: its courses and what was written for their lessons are taken along'),
])]
#[OA\Schema(schema: 'NewMeetingRow', required: ['weekday', 'at', 'minutes'], properties: [
    new OA\Property(property: 'weekday', type: 'string'),
    new OA\Property(property: 'at', type: 'string'),
    new OA\Property(property: 'minutes', type: 'integer'),
])]
final class TermController extends Controller
{
    private const NEW_TERM = ['group' => 'string', 'title' => 'string', 'from' => 'string', 'to' => 'string', 'pattern' => [['weekday' => 'string', 'at' => 'string', 'minutes' => 'integer']], 'closures' => [ClosureData::class], 'approach' => 'enum:outline,piece,sides,whole', 'showing?' => ['on' => 'string', 'to' => 'integer'], 'after?' => 'string|null', 'pace?' => SentPace::SHAPE, 'spread?' => 'boolean|null', 'takesLessons?' => 'boolean'];

    #[Reads('/api/terms', 'terms', 'The terms of the school', [TermSummary::class])]
    public function index(): JsonResponse
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Term> $terms */
        $terms = TermSummary::counted()->orderByDesc('starts_on')->orderBy('id')->get();

        return new JsonResponse($terms->map(TermSummary::of(...))->all());
    }

    #[Reads('/api/terms/next', 'nextTerm', 'How the next term would begin: of a group, after a term, or of the group whose turn it is', NextTermData::class, query: ['group' => 'string', 'after' => 'string'])]
    public function next(Request $request, CurrentSchool $school): JsonResponse
    {
        // What is gone, or never was one, is not held against who follows an old link.
        [$asked, $term] = array_map(static fn (string $key): ?string => Str::isUuid($request->query($key)) ? $request->string($key)->value() : null, ['group', 'after']);
        $after = Term::find($term);
        $group = $after->group ?? Group::find($asked) ?? self::turn();
        // A group goes on where it left off, whichever term was asked for.
        $after ??= $group === null ? null : Term::where('group_id', $group->id)->orderByDesc('ends_on')->orderBy('id')->first();
        $today = $school->today();

        return new JsonResponse(NextTermData::of($group, $after, $after === null ? NextTerm::first($today) : NextTerm::after(
            $after->starts_on,
            $after->ends_on,
            array_map(static fn (array $row): WeeklyMeeting => new WeeklyMeeting(Weekday::from($row['weekday']), $row['at'], $row['minutes']), array_values($after->pattern)),
            $after->courses->first()->approach ?? Approach::PieceByPiece,
            $today,
        )));
    }

    #[Makes('/api/terms/preview', 'previewTerm', 'The dates it would have', DatesData::class, takes: self::NEW_TERM)]
    public function preview(Request $request, LayTerm $lay): JsonResponse
    {
        [$group, $given, $courses] = $this->given($request);
        $dates = $lay->dates($given);
        [$taken, $cut] = $lay->lessons($group, $courses[0], $dates);

        return new JsonResponse(new DatesData(
            array_map(static fn (MeetingDate $date): DateData => new DateData($date->on, $date->starts->format(DATE_ATOM), $date->minutes), $dates->meetings),
            $dates->warnings,
            $courses[0]->takes() ? $taken ?? $cut : $cut,
            $taken,
            $cut,
        ));
    }

    #[Makes('/api/terms/sketch', 'sketchTerm', 'What it would come to; nothing is laid', TermData::class, takes: self::NEW_TERM)]
    public function sketch(Request $request, SketchTerm $sketch, TermPages $pages): JsonResponse
    {
        [$group, $given, $courses, $after] = $this->given($request);

        return new JsonResponse($sketch($group, $given['title'], $given, $courses, $after, $pages->term(...)));
    }

    #[Makes('/api/terms', 'layTerm', 'Laid', TermSummary::class, takes: self::NEW_TERM, status: 201)]
    public function store(Request $request, LayTerm $lay): JsonResponse
    {
        [$group, $given, $courses, $after] = $this->given($request);
        $term = $lay($group, $given['title'], $given, $courses, $after);

        return new JsonResponse(TermSummary::find($term->id), 201);
    }

    #[Reads('/api/terms/{term}', 'term', 'A term laid out', TermData::class)]
    public function show(Request $request, Term $term, Season $season, TermPages $pages, AskQuestion $ask, CurrentSchool $school): JsonResponse
    {
        $season->keepCurrent($term);
        $term->refresh();
        if ($this->viewer($request)->may(Ability::Plan) && ! $term->isBeingPlanned() && $term->ends_on >= $school->today()) {
            $ask($term, QuestionKind::Costs, [], $this->viewer($request)->authorId());
        }

        return new JsonResponse($pages->term($term));
    }

    #[Reads('/api/terms/{term}/removal', 'termRemoval', 'What would go with it', RemovalData::class)]
    public function removal(Term $term, RemoveTerm $remove): JsonResponse
    {
        return new JsonResponse(RemovalData::of($remove->would($term)));
    }

    #[Removes('/api/terms/{term}', 'removeTerm', 'Taken back', mayConflict: true)]
    public function destroy(Term $term, RemoveTerm $remove): Response
    {
        $remove($term);

        return response()->noContent();
    }

    /** The group whose turn it is, by name among equals. */
    private static function turn(): ?Group
    {
        $query = Group::query()->orderBy('name');
        $query->addSelect(['last_day' => Term::selectRaw('max(ends_on)')->whereColumn('group_id', 'groups.id')]);
        /** @var \Illuminate\Database\Eloquent\Collection<int, Group> $groups */
        $groups = $query->get();
        $turn = NextTerm::turn($groups->mapWithKeys(static fn (Group $one): array => [$one->id => $one->getAttribute('last_day')])->all());

        return $groups->firstWhere('id', $turn);
    }

    /** @return array{Group, array{title: string, from: string, to: string}, non-empty-list<NewCourse>, Term|null} the term it follows comes last */
    private function given(Request $request): array
    {
        /** @var array{group: string, title: string, approach: string, from: string, to: string, after?: string|null} $given */
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
            'after' => ['nullable', 'uuid'],
            'showing' => ['nullable', 'array'],
            'showing.on' => ['required_with:showing', 'date_format:Y-m-d'],
            'showing.to' => ['required_with:showing', 'integer', 'min:1', 'max:600'],
            'spread' => ['sometimes', 'nullable', 'boolean'],
            'takesLessons' => ['sometimes', 'boolean'],
            ...SentPace::RULES,
        ]);
        $group = Group::find($given['group']) ?? throw Refused::because(Message::of('group.unknown'), 'group');
        $showing = null;
        if (isset($given['showing'])) {
            $form = $group->form->placed()->form;
            $to = (int) $given['showing']['to'];
            $showing = new Showing((string) $given['showing']['on'], $to <= $form->count() ? $form->at($to)->id : throw Refused::because(Message::of('before.entry', count: $form->count()), 'showing.to'));
        }

        $after = isset($given['after']) ? Term::where('group_id', $group->id)->find($given['after']) ?? throw Refused::because(Message::of('term.not_before'), 'after') : null;
        $approach = Approach::from($given['approach']);

        $pace = SentPace::of($request->input('pace'));
        $spread = $request->has('spread') && $request->input('spread') !== null ? $request->boolean('spread') : null;
        $takes = $request->boolean('takesLessons', true);
        $courses = $after === null ? [] : self::following($after, $group, $approach, $showing, $pace, $spread, $takes);

        return [$group, $given, $courses === [] ? [new NewCourse($group->form, $approach, showing: $showing, pace: $pace, spread: $spread, takesLessons: $takes)] : $courses, $after];
    }

    /**
     * The courses of a term once more, the group's form with the approach and the showing that are given now; none where the
     * group learns something else by now.
     *
     * @return list<NewCourse>
     */
    private static function following(Term $after, Group $group, Approach $approach, ?Showing $showing, ?SaidPace $pace, ?bool $spread, bool $takes): array
    {
        $courses = [];
        foreach ($after->courses()->with('form')->get() as $course) {
            $isOwn = $course->form_id === $group->form_id;
            $courses[] = new NewCourse($course->form, $isOwn ? $approach : $course->approach, $course->share, $course->first_entry, $course->last_entry, $course->lesson_load, $course->lesson_count, $isOwn ? $showing : null, $isOwn ? $pace : $course->said(), $isOwn ? $spread : $course->spread, $course->keeps ?? [], $course->reserve, $course->looks_back, $isOwn ? $takes : true);
        }

        return in_array($group->form_id, array_map(static fn (NewCourse $one): string => $one->form->id, $courses), true) ? $courses : [];
    }
}
