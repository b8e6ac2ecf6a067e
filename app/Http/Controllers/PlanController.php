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
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Patches;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\SentPace;
use App\Http\SentSize;
use App\Http\TermPages;
use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\PlanChange;
use App\Models\PlanQuestion;
use App\Models\QuestionKind;
use App\Models\Term;
use App\Models\User;
use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Approach;
use Gorvan\Core\Term\Change\TermChange;
use Gorvan\Core\Term\Change\TermChangeReader;
use Gorvan\Core\Term\Course as CoreCourse;
use Gorvan\Core\Term\SaidPace;
use Gorvan\Core\Term\Showing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** A plan in the hand: changes, courses, and what is asked about it. */
final class PlanController extends Controller
{
    private const MOST_CHANGES = 50;

    private const MOST_SHOWN = 50;

    private const KEEPS = ['keeps' => ['sometimes', 'nullable', 'array', 'max:50'], 'keeps.*.from' => ['required', 'integer', 'min:1', 'max:600'], 'keeps.*.to' => ['required', 'integer', 'min:1', 'max:600']];

    #[Makes('/api/terms/{term}/changes/preview', 'previewChanges', 'What they would move', ChangePreviewData::class, takes: ['changes' => ['any']])]
    public function preview(Request $request, Term $term, ChangeTerm $change, TermPages $pages): JsonResponse
    {
        return new JsonResponse($pages->preview($term, $change->preview($term, $this->changes($request))));
    }

    #[Makes('/api/terms/{term}/changes', 'changeTerm', 'Changed', ChangeData::class, takes: ['version' => 'integer', 'changes' => ['any']], status: 201, mayConflict: true)]
    public function change(Request $request, Term $term, ChangeTerm $change): JsonResponse
    {
        $given = $request->validate(['version' => ['required', 'integer', 'min:0', 'max:'.self::MOST_INTEGER]]);

        return new JsonResponse($this->told($change($term, $this->changes($request), (int) $given['version'], $this->viewer($request))), 201);
    }

    #[Reads('/api/terms/{term}/changes', 'termChanges', 'What was changed, the latest first', [ChangeData::class])]
    public function history(Term $term): JsonResponse
    {
        $names = $this->names();
        $zone = app(CurrentSchool::class)->zone();

        return new JsonResponse(PlanChange::where('term_id', $term->id)->orderByDesc('plan')->orderByDesc('at')->orderByDesc('id')->limit(self::MOST_SHOWN)->get()->map(static fn (PlanChange $one): ChangeData => ChangeData::of($one, $names, $zone))->all());
    }

    #[Makes('/api/plan-changes/{change}/take-back', 'takeBackChange', 'Taken back', status: 204, mayConflict: true)]
    public function takeBack(Request $request, PlanChange $change, TakeBackChange $back): Response
    {
        $back($change, $this->viewer($request));

        return response()->noContent();
    }

    #[Makes('/api/terms/{term}/courses', 'addCourse', 'Added', ChangeData::class, takes: ['form' => 'string', 'approach' => 'enum:outline,piece,sides,whole', 'share' => 'number', 'from?' => 'integer|null', 'to?' => 'integer|null', 'pace?' => SentPace::SHAPE, 'keeps?' => [['from' => 'integer', 'to' => 'integer']]], status: 201, mayConflict: true)]
    public function addCourse(Request $request, Term $term, ChangeCourses $courses): JsonResponse
    {
        $given = $request->validate(['form' => ['required', 'uuid'], 'approach' => ['required', Rule::enum(Approach::class)], 'share' => ['required', 'numeric', 'min:0.1', 'max:0.9'], ...$this->target(), ...SentPace::RULES, ...self::KEEPS]);
        $form = Form::find($given['form']) ?? throw Refused::because(Message::of('course.no_form'), 'form');

        return new JsonResponse($this->told($courses->add($term, $form, ['approach' => $given['approach'], 'share' => (float) $given['share'], ...$this->ends($given, $form), ...self::taught($given, $form)], $this->viewer($request))), 201);
    }

    #[Patches('/api/courses/{course}', 'changeCourse', 'Changed', ChangeData::class, takes: ['approach?' => 'enum:outline,piece,sides,whole', 'share?' => 'number', 'rhythm?' => 'integer|null', 'from?' => 'integer|null', 'to?' => 'integer|null', 'showing?' => 'any', 'size?' => SentSize::SHAPE, 'joins?' => [['after' => 'integer', 'pin' => 'enum:always,never|null']], 'isFree?' => 'boolean', 'takesLessons?' => 'boolean', 'pace?' => SentPace::SHAPE, 'spread?' => 'boolean|null', 'reserve?' => 'integer', 'looksBack?' => 'boolean', 'keeps?' => [['from' => 'integer', 'to' => 'integer']], 'turns?' => ['integer']], status: 200, mayConflict: true)]
    public function changeCourse(Request $request, Course $course, ChangeCourses $courses): JsonResponse
    {
        $given = $request->validate([
            'approach' => ['sometimes', Rule::enum(Approach::class)],
            'share' => ['sometimes', 'numeric', 'min:0.1', 'max:1'],
            'rhythm' => ['sometimes', 'nullable', 'integer', 'min:0', 'max:20'],
            'showing' => ['sometimes', 'nullable', 'array'],
            'showing.on' => ['required_with:showing', 'date_format:Y-m-d'],
            'showing.to' => ['required_with:showing', 'integer', 'min:1', 'max:600'],
            'size' => ['sometimes', 'array'],
            'joins' => ['sometimes', 'array', 'max:600'],
            'joins.*.after' => ['required', 'integer', 'min:1', 'distinct'],
            'joins.*.pin' => ['present', 'nullable', Rule::enum(CutPin::class)],
            'isFree' => ['sometimes', 'boolean'],
            'takesLessons' => ['sometimes', 'boolean'],
            'spread' => ['sometimes', 'nullable', 'boolean'],
            'reserve' => ['sometimes', 'integer', 'min:0', 'max:'.CoreCourse::MOST_RESERVE],
            'looksBack' => ['sometimes', 'boolean'],
            'turns' => ['sometimes', 'array', 'max:12'],
            'turns.*' => ['integer', 'min:0', 'max:'.(ChangeCourses::MOST - 1)],
            ...SentPace::RULES,
            ...self::KEEPS,
            ...$this->target(),
        ]);
        $is = [...array_intersect_key($given, ['approach' => true, 'share' => true, 'rhythm' => true, 'spread' => true, 'reserve' => true]), ...$this->cutting($course, $given), ...self::taught($given, $course->form)];
        if (array_key_exists('turns', $given)) {
            $is['turns'] = $given['turns'] === [] ? null : array_values($given['turns']);
        }
        if (array_key_exists('showing', $given)) {
            $is['showing'] = $given['showing'] === null ? null : $this->showing($course, (string) $given['showing']['on'], (int) $given['showing']['to']);
        }

        return new JsonResponse($this->told($courses->change($course, [...$is, ...$this->ends($given, $course->form)], $this->viewer($request), isset($given['approach']) || array_intersect_key($given, ['to' => true, 'size' => true, 'joins' => true, 'isFree' => true, 'takesLessons' => true]) !== [])));
    }

    /**
     * What is said of its pace, of a look back, and of what is kept alive.
     *
     * @param  array<string, mixed>  $given
     * @return array<string, mixed> columns of the course
     */
    private static function taught(array $given, Form $form): array
    {
        $is = array_key_exists('pace', $given) ? ['pace' => Course::paceColumn(SentPace::of($given['pace']))] : [];
        if (isset($given['looksBack'])) {
            $is['looks_back'] = $given['looksBack'];
        }
        if (array_key_exists('keeps', $given)) {
            $placed = $form->placed()->form;
            $keeps = [];
            foreach ($given['keeps'] ?? [] as $at => $one) {
                if ($one['to'] < $one['from'] || $one['to'] > $placed->count()) {
                    throw Refused::because(Message::of('before.entry', count: $placed->count()), "keeps.$at.to");
                }
                $keeps[] = $placed->countedIdsOf(new Passage((int) $one['from'], (int) $one['to']));
            }
            $is['keeps'] = $keeps === [] ? null : $keeps;
        }

        return $is;
    }

    /**
     * What is said of how the course is cut: its size, and pins and bars by entry.
     *
     * @param  array<string, mixed>  $given
     * @return array<string, mixed> columns of the course
     */
    private function cutting(Course $course, array $given): array
    {
        $is = [];
        // Who cuts by hand has a cut of their own; the form's lessons can be taken again.
        if (array_intersect_key($given, ['size' => true, 'joins' => true, 'isFree' => true, 'takesLessons' => true]) !== []) {
            $is['cut'] = [...$course->cut ?? ['lessons' => []], 'of_form' => $given['takesLessons'] ?? false];
        }
        if (isset($given['size'])) {
            $size = SentSize::of((array) $given['size']);
            $is = [...$is, ...ChangeCutting::columns($size, 'lesson_load'), 'load_minutes' => null, 'pace' => Course::paceColumn(SaidPace::after($size, SaidPace::ofSize($course->size())))];
        }
        if (isset($given['joins']) || ($given['isFree'] ?? false) === true) {
            $form = $course->form->placed()->form;
            $pins = ($given['isFree'] ?? false) === true ? [] : $course->pins;
            foreach ($given['joins'] ?? [] as $at => $join) {
                if ($join['after'] >= $form->count()) {
                    throw Refused::because(Message::of('join.none', after: (int) $join['after']), "joins.$at.after");
                }
                $pins[$form->at((int) $join['after'])->id] = $join['pin'];
            }
            $is['pins'] = (object) $pins;
        }

        return $is;
    }

    #[Removes('/api/courses/{course}', 'removeCourse', 'Removed', mayConflict: true)]
    public function removeCourse(Request $request, Course $course, ChangeCourses $courses): Response
    {
        $courses->remove($course, $this->viewer($request));

        return response()->noContent();
    }

    #[Reads('/api/terms/{term}/questions', 'termQuestions', 'What was asked about its plan, the latest first', [QuestionData::class])]
    public function questions(Term $term): JsonResponse
    {
        return new JsonResponse(PlanQuestion::where('term_id', $term->id)->orderByDesc('created_at')->limit(self::MOST_SHOWN)->get()->map(static fn (PlanQuestion $one): QuestionData => QuestionData::of($one, $term->plan_asked))->all());
    }

    #[Makes('/api/terms/{term}/questions', 'askAboutTerm', 'Asked', QuestionData::class, takes: ['kind' => 'enum:furthest,meetings,minutes,pace,compare,places', 'course?' => 'string|null', 'number?' => 'integer', 'plans?' => [['approach?' => 'enum:outline,piece,sides,whole|null', 'minutes?' => 'integer', 'extra?' => 'integer', 'to?' => 'integer|null', 'lost?' => 'integer', 'movements?' => 'number|null', 'spread?' => 'boolean|null']]], status: 201)]
    public function ask(Request $request, Term $term, AskQuestion $ask): JsonResponse
    {
        $given = $request->validate([
            'kind' => ['required', Rule::in(['furthest', 'meetings', 'minutes', 'pace', 'compare', 'places'])],
            'course' => ['nullable', 'uuid'],
            'number' => ['required_if:kind,places', 'integer', 'min:1', 'max:600'],
            'plans' => ['required_if:kind,compare', 'array', 'min:1', 'max:3'],
            'plans.*' => ['array'],
            'plans.*.approach' => ['nullable', Rule::enum(Approach::class)],
            'plans.*.minutes' => ['integer', 'min:0', 'max:60'],
            'plans.*.extra' => ['integer', 'min:0', 'max:12'],
            'plans.*.to' => ['nullable', 'integer', 'min:1', 'max:600'],
            'plans.*.lost' => ['integer', 'min:0', 'max:4'],
            'plans.*.movements' => ['nullable', 'numeric', 'min:'.SaidPace::LEAST_MOVEMENTS, 'max:'.SaidPace::MOST_MOVEMENTS],
            'plans.*.spread' => ['nullable', 'boolean'],
        ]);
        if (isset($given['course']) && ! $term->courses()->whereKey($given['course'])->exists()) {
            throw Refused::because(Message::of('gone.course'), 'course');
        }
        $question = array_filter(array_diff_key($given, ['kind' => true]), static fn (mixed $one): bool => $one !== null);

        return new JsonResponse(QuestionData::of($ask($term, QuestionKind::from($given['kind']), $question, $this->viewer($request)->authorId()), $term->plan_asked), 201);
    }

    #[Makes('/api/plan-questions/{question}/take-over', 'takeOverPlan', 'Taken over', ChangeData::class, takes: ['plan?' => 'integer'], status: 201, mayConflict: true)]
    public function takeOver(Request $request, PlanQuestion $question, TakeOverPlan $take): JsonResponse
    {
        $given = $request->validate(['plan' => ['integer', 'min:0', 'max:2']]);

        return new JsonResponse($this->told($take($question, (int) ($given['plan'] ?? 0), $this->viewer($request))), 201);
    }

    /** @return list<TermChange> read by core from the text itself, as a file is */
    private function changes(Request $request): array
    {
        return array_map(TermChangeReader::read(...), JsonNode::parse($request->getContent())->required('changes')->itemsAtMost(self::MOST_CHANGES));
    }

    /** @return array<string, list<string>> */
    private function target(): array
    {
        return ['from' => ['nullable', 'integer', 'min:1', 'max:600'], 'to' => ['nullable', 'integer', 'min:1', 'max:600']];
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, string|null>
     */
    private function ends(array $given, Form $form): array
    {
        $ends = [];
        $placed = $form->placed()->form;
        foreach (['from' => 'first_entry', 'to' => 'last_entry'] as $key => $column) {
            if (array_key_exists($key, $given)) {
                $ends[$column] = $given[$key] === null ? null : ($given[$key] <= $placed->count() ? $placed->at((int) $given[$key])->id : throw Refused::because(Message::of('before.entry', count: $placed->count()), $key));
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
