<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AskQuestion;
use App\Actions\ChangeCourses;
use App\Actions\ChangeCutting;
use App\Actions\ChangeTerm;
use App\Actions\Refused;
use App\Actions\TakeBackChange;
use App\Actions\TakeOverPlan;
use App\Http\Data\ChangeData;
use App\Http\Data\ChangePreviewData;
use App\Http\Data\QuestionData;
use App\Http\TermPages;
use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\PlanChange;
use App\Models\PlanQuestion;
use App\Models\Term;
use App\Models\User;
use App\Shared\Description\Operation;
use App\Shared\Sent\Unsaid;
use App\Terms\Requests\AddedCourse;
use App\Terms\Requests\CourseChange;
use App\Terms\Requests\PlanToTake;
use App\Terms\Requests\SentPace;
use App\Terms\Requests\SentPassage;
use App\Terms\Requests\TermChanges;
use App\Terms\Requests\TermQuestion;
use App\Terms\Requests\TriedChanges;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Change\TermChange;
use Gorvan\Core\Term\Change\TermChangeReader;
use Gorvan\Core\Term\SaidPace;
use Gorvan\Core\Term\Showing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A plan in the hand: changes, courses, and what is asked about it. */
final class PlanController extends Controller
{
    private const MOST_CHANGES = 50;

    private const MOST_SHOWN = 50;

    #[Operation('previewChanges', 'What they would move', ChangePreviewData::class)]
    public function preview(TriedChanges $sent, Term $term, ChangeTerm $change, TermPages $pages): JsonResponse
    {
        return new JsonResponse($pages->preview($term, $change->preview($term, self::changes($sent->changes))));
    }

    #[Operation('changeTerm', 'Changed', ChangeData::class, status: 201, mayConflict: true)]
    public function change(Request $request, TermChanges $sent, Term $term, ChangeTerm $change): JsonResponse
    {
        return new JsonResponse($this->told($change($term, self::changes($sent->changes), $sent->version, $this->viewer($request))), 201);
    }

    #[Operation('termChanges', 'What was changed, the latest first', [ChangeData::class])]
    public function history(Term $term): JsonResponse
    {
        $names = $this->names();
        $zone = app(CurrentSchool::class)->zone();

        return new JsonResponse(PlanChange::where('term_id', $term->id)->orderByDesc('plan')->orderByDesc('at')->orderByDesc('id')->limit(self::MOST_SHOWN)->get()->map(static fn (PlanChange $one): ChangeData => ChangeData::of($one, $names, $zone))->all());
    }

    #[Operation('takeBackChange', 'Taken back', status: 204, mayConflict: true)]
    public function takeBack(Request $request, PlanChange $change, TakeBackChange $back): Response
    {
        $back($change, $this->viewer($request));

        return response()->noContent();
    }

    #[Operation('addCourse', 'Added', ChangeData::class, status: 201, mayConflict: true)]
    public function addCourse(Request $request, AddedCourse $sent, Term $term, ChangeCourses $courses): JsonResponse
    {
        $form = Form::find($sent->form) ?? throw Refused::because(Message::of('course.no_form'), 'form');
        $is = ['approach' => $sent->approach, 'share' => $sent->share, ...self::ends($sent->from, $sent->to, $form), ...self::paced($sent->pace), ...self::keeping($sent->keeps, $form)];

        return new JsonResponse($this->told($courses->add($term, $form, $is, $this->viewer($request))), 201);
    }

    #[Operation('changeCourse', 'Changed', ChangeData::class, status: 200, mayConflict: true)]
    public function changeCourse(Request $request, CourseChange $sent, Course $course, ChangeCourses $courses): JsonResponse
    {
        $is = [
            ...array_filter(['approach' => $sent->approach, 'share' => $sent->share, 'reserve' => $sent->reserve, 'looks_back' => $sent->looksBack], static fn (mixed $one): bool => $one !== null),
            ...array_filter(['rhythm' => $sent->rhythm, 'spread' => $sent->spread], static fn (mixed $one): bool => ! $one instanceof Unsaid),
            ...$this->cutting($course, $sent),
            ...self::paced($sent->pace),
            ...self::keeping($sent->keeps, $course->form),
            ...$sent->turns === null ? [] : ['turns' => $sent->turns === [] ? null : $sent->turns],
            ...$sent->showing instanceof Unsaid ? [] : ['showing' => $sent->showing === null ? null : $this->showing($course, $sent->showing->on, $sent->showing->to)],
            ...self::ends($sent->from, $sent->to, $course->form),
        ];

        return new JsonResponse($this->told($courses->change($course, $is, $this->viewer($request), $sent->cutsAnew())));
    }

    /** @return array<string, mixed> columns of the course */
    private static function paced(SentPace|Unsaid|null $pace): array
    {
        return $pace instanceof Unsaid ? [] : ['pace' => Course::paceColumn($pace?->said())];
    }

    /**
     * What is kept alive.
     *
     * @param  list<SentPassage>|Unsaid|null  $sent
     * @return array<string, mixed> columns of the course
     */
    private static function keeping(array|Unsaid|null $sent, Form $form): array
    {
        if ($sent instanceof Unsaid) {
            return [];
        }
        $placed = $form->placed()->form;
        $keeps = [];
        foreach ($sent ?? [] as $at => $one) {
            if ($one->to < $one->from || $one->to > $placed->count()) {
                throw Refused::because(Message::of('before.entry', count: $placed->count()), "keeps.$at.to");
            }
            $keeps[] = $placed->countedIdsOf(new Passage($one->from, $one->to));
        }

        return ['keeps' => $keeps === [] ? null : $keeps];
    }

    /**
     * What is said of how the course is cut: its size, and pins and bars by entry.
     *
     * @return array<string, mixed> columns of the course
     */
    private function cutting(Course $course, CourseChange $sent): array
    {
        $is = [];
        // Who cuts by hand has a cut of their own; the form's lessons can be taken again.
        if ($sent->cutsByHand()) {
            $is['cut'] = [...$course->cut ?? ['lessons' => []], 'of_form' => $sent->takesLessons ?? false];
        }
        if ($sent->size !== null) {
            $size = $sent->size->size();
            $is = [...$is, ...ChangeCutting::columns($size, 'lesson_load'), 'load_minutes' => null, 'pace' => Course::paceColumn(SaidPace::after($size, SaidPace::ofSize($course->size())))];
        }
        if ($sent->joins !== null || $sent->isFree) {
            $form = $course->form->placed()->form;
            $pins = $sent->isFree ? [] : $course->pins;
            foreach ($sent->joins ?? [] as $at => $join) {
                if ($join->after >= $form->count()) {
                    throw Refused::because(Message::of('join.none', after: $join->after), "joins.$at.after");
                }
                $pins[$form->at($join->after)->id] = $join->pin?->value;
            }
            $is['pins'] = (object) $pins;
        }

        return $is;
    }

    #[Operation('removeCourse', 'Removed', mayConflict: true)]
    public function removeCourse(Request $request, Course $course, ChangeCourses $courses): Response
    {
        $courses->remove($course, $this->viewer($request));

        return response()->noContent();
    }

    #[Operation('termQuestions', 'What was asked about its plan, the latest first', [QuestionData::class])]
    public function questions(Term $term): JsonResponse
    {
        return new JsonResponse(PlanQuestion::where('term_id', $term->id)->orderByDesc('created_at')->limit(self::MOST_SHOWN)->get()->map(static fn (PlanQuestion $one): QuestionData => QuestionData::of($one, $term->plan_asked))->all());
    }

    #[Operation('askAboutTerm', 'Asked', QuestionData::class, status: 201)]
    public function ask(Request $request, TermQuestion $sent, Term $term, AskQuestion $ask): JsonResponse
    {
        if ($sent->course !== null && ! $term->courses()->whereKey($sent->course)->exists()) {
            throw Refused::because(Message::of('gone.course'), 'course');
        }

        return new JsonResponse(QuestionData::of($ask($term, $sent->kind, $sent->question(), $this->viewer($request)->authorId()), $term->plan_asked), 201);
    }

    #[Operation('takeOverPlan', 'Taken over', ChangeData::class, status: 201, mayConflict: true)]
    public function takeOver(Request $request, PlanToTake $sent, PlanQuestion $question, TakeOverPlan $take): JsonResponse
    {
        return new JsonResponse($this->told($take($question, $sent->plan, $this->viewer($request))), 201);
    }

    /** @return list<TermChange> */
    private static function changes(JsonNode $sent): array
    {
        return array_map(TermChangeReader::read(...), $sent->itemsAtMost(self::MOST_CHANGES));
    }

    /** @return array<string, string|null> columns of the course */
    private static function ends(int|Unsaid|null $from, int|Unsaid|null $to, Form $form): array
    {
        $ends = [];
        $placed = $form->placed()->form;
        foreach (['from' => ['first_entry', $from], 'to' => ['last_entry', $to]] as $key => [$column, $at]) {
            if (! $at instanceof Unsaid) {
                $ends[$column] = $at === null ? null : ($at <= $placed->count() ? $placed->at($at)->id : throw Refused::because(Message::of('before.entry', count: $placed->count()), $key));
            }
        }

        return $ends;
    }

    private function showing(Course $course, string $on, int $to): string
    {
        $placed = $course->form->placed()->form;
        if ($on < $course->term->starts_on || $on > $course->term->ends_on) {
            throw Refused::because(Message::of('contradiction.showing_outside', on: $on, from: $course->term->starts_on, to: $course->term->ends_on), 'showing.on');
        }
        $entry = $to <= $placed->count() ? $placed->at($to)->id : throw Refused::because(Message::of('before.entry', count: $placed->count()), 'showing.to');

        return json_encode((new Showing($on, $entry))->toData(), JSON_THROW_ON_ERROR);
    }

    private function told(PlanChange $change): ChangeData
    {
        return ChangeData::of($change, $this->names(), app(CurrentSchool::class)->zone());
    }

    /** @return array<string, string> */
    private function names(): array
    {
        return User::where('school_id', app(CurrentSchool::class)->id())->pluck('name', 'id')->all();
    }
}
