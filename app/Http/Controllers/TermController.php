<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AskQuestion;
use App\Actions\LayTerm;
use App\Actions\NewCourse;
use App\Actions\Refused;
use App\Actions\RemoveTerm;
use App\Actions\SketchTerm;
use App\Http\Data\DateData;
use App\Http\Data\DatesData;
use App\Http\Data\NextTermData;
use App\Http\Data\RemovalData;
use App\Http\Data\TermData;
use App\Http\Data\TermSummary;
use App\Http\Season;
use App\Http\TermPages;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\QuestionKind;
use App\Models\Term;
use App\Policies\Ability;
use App\Shared\Description\Operation;
use App\Terms\Requests\NewTerm;
use App\Terms\Requests\NextTermQuery;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\MeetingDate;
use Gorvan\Core\Term\NextTerm;
use Gorvan\Core\Term\Showing;
use Gorvan\Core\Term\Weekday;
use Gorvan\Core\Term\WeeklyMeeting;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

final class TermController extends Controller
{
    #[Operation('terms', 'The terms of the school', [TermSummary::class])]
    public function index(): JsonResponse
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Term> $terms */
        $terms = TermSummary::counted()->orderByDesc('starts_on')->orderBy('id')->get();

        return new JsonResponse($terms->map(TermSummary::of(...))->all());
    }

    #[Operation('nextTerm', 'How the next term would begin: of a group, after a term, or of the group whose turn it is', NextTermData::class)]
    public function next(NextTermQuery $of, CurrentSchool $school): JsonResponse
    {
        // What is gone, or never was one, is not held against who follows an old link.
        [$asked, $term] = array_map(static fn (?string $one): ?string => Str::isUuid($one) ? $one : null, [$of->group, $of->after]);
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

    #[Operation('previewTerm', 'The dates it would have', DatesData::class)]
    public function preview(NewTerm $sent, LayTerm $lay): JsonResponse
    {
        [$group, $courses] = $this->given($sent);
        $dates = $lay->dates($sent->term());
        [$taken, $cut] = $lay->lessons($group, $courses[0], $dates);

        return new JsonResponse(new DatesData(
            array_map(static fn (MeetingDate $date): DateData => new DateData($date->on, $date->starts->format(DATE_ATOM), $date->minutes), $dates->meetings),
            $dates->warnings,
            $courses[0]->takes() ? $taken ?? $cut : $cut,
            $taken,
            $cut,
        ));
    }

    #[Operation('sketchTerm', 'What it would come to; nothing is laid', TermData::class)]
    public function sketch(NewTerm $sent, SketchTerm $sketch, TermPages $pages): JsonResponse
    {
        [$group, $courses, $after] = $this->given($sent);

        return new JsonResponse($sketch($group, $sent->title, $sent->term(), $courses, $after, $pages->term(...)));
    }

    #[Operation('layTerm', 'Laid', TermSummary::class, status: 201)]
    public function store(NewTerm $sent, LayTerm $lay): JsonResponse
    {
        [$group, $courses, $after] = $this->given($sent);
        $term = $lay($group, $sent->title, $sent->term(), $courses, $after);

        return new JsonResponse(TermSummary::find($term->id), 201);
    }

    #[Operation('term', 'A term laid out', TermData::class)]
    public function show(Request $request, Term $term, Season $season, TermPages $pages, AskQuestion $ask, CurrentSchool $school): JsonResponse
    {
        $season->keepCurrent($term);
        $term->refresh();
        if ($this->viewer($request)->may(Ability::Plan) && ! $term->isBeingPlanned() && $term->ends_on >= $school->today()) {
            $ask($term, QuestionKind::Costs, [], $this->viewer($request)->authorId());
        }

        return new JsonResponse($pages->term($term));
    }

    #[Operation('termRemoval', 'What would go with it', RemovalData::class)]
    public function removal(Term $term, RemoveTerm $remove): JsonResponse
    {
        return new JsonResponse(RemovalData::of($remove->would($term)));
    }

    #[Operation('removeTerm', 'Taken back', mayConflict: true)]
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

    /** @return array{Group, non-empty-list<NewCourse>, Term|null} the term it follows comes last */
    private function given(NewTerm $sent): array
    {
        $group = Group::find($sent->group) ?? throw Refused::because(Message::of('group.unknown'), 'group');
        $showing = null;
        if ($sent->showing !== null) {
            $form = $group->form->placed()->form;
            $to = $sent->showing->to;
            $showing = new Showing($sent->showing->on, $to <= $form->count() ? $form->at($to)->id : throw Refused::because(Message::of('before.entry', count: $form->count()), 'showing.to'));
        }
        $after = $sent->after === null ? null : Term::where('group_id', $group->id)->find($sent->after) ?? throw Refused::because(Message::of('term.not_before'), 'after');
        $first = new NewCourse($group->form, $sent->approach, showing: $showing, pace: $sent->pace?->said(), spread: $sent->spread, takesLessons: $sent->takesLessons);
        $courses = $after === null ? [] : self::following($after, $group, $first);

        return [$group, $courses === [] ? [$first] : $courses, $after];
    }

    /**
     * The courses of a term once more, the group's form with the approach and the showing that are given now; none where the
     * group learns something else by now.
     *
     * @return list<NewCourse>
     */
    private static function following(Term $after, Group $group, NewCourse $first): array
    {
        $courses = [];
        foreach ($after->courses()->with('form')->get() as $course) {
            $isOwn = $course->form_id === $group->form_id;
            $courses[] = new NewCourse($course->form, $isOwn ? $first->approach : $course->approach, $course->share, $course->first_entry, $course->last_entry, $course->lesson_load, $course->lesson_count, $isOwn ? $first->showing : null, $isOwn ? $first->pace : $course->said(), $isOwn ? $first->spread : $course->spread, $course->keeps ?? [], $course->reserve, $course->looks_back, $isOwn ? $first->takesLessons : true);
        }

        return in_array($group->form_id, array_map(static fn (NewCourse $one): string => $one->form->id, $courses), true) ? $courses : [];
    }
}
