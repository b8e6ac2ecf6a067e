<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeCutting;
use App\Actions\NamedCourse;
use App\Actions\PacedCourse;
use App\Actions\ReadForm;
use App\Actions\RemoveForm;
use App\Actions\SaveForm;
use App\Http\Data\AuditData;
use App\Http\Data\FormData;
use App\Http\Data\FormPreviewData;
use App\Http\Data\FormSummary;
use App\Http\Data\KinshipData;
use App\Http\Data\RemovalData;
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\SentSize;
use App\Models\Form;
use App\Models\Group;
use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Kinship;
use Gorvan\Core\Lesson\LessonCutter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

final class FormController extends Controller
{
    /** Generous for a form file, and told apart from it by core, which names its own limit. */
    public const MOST_TEXT = 3_000_000;

    #[Reads('/api/forms', 'forms', 'The forms of the school', [FormSummary::class])]
    public function index(): JsonResponse
    {
        $groups = Group::all(['id', 'school_id', 'name', 'form_id'])->groupBy('form_id');

        return new JsonResponse(Form::withCount('entries')->orderBy('title')->get(['id', 'school_id', 'title', 'lessons', 'load'])->map(
            static fn (Form $form): FormSummary => new FormSummary(
                $form->id,
                $form->title,
                (int) $form->getAttribute('entries_count'),
                $form->lessons,
                $form->load,
                array_values(($groups[$form->id] ?? collect())->pluck('name')->all()),
            ),
        )->all());
    }

    #[Makes('/api/forms/preview', 'previewForm', 'What would be made', FormPreviewData::class, takes: ['text' => 'string', 'title?' => 'string'])]
    public function preview(Request $request, ReadForm $read, LessonCutter $cutter): JsonResponse
    {
        $given = $this->given($request);
        $found = $read($given['text'], $given['title'] ?? '');

        return new JsonResponse(new FormPreviewData(
            FormData::of($found->form, $cutter->cut($found->form)),
            array_map(static fn (Kinship $kin): KinshipData => KinshipData::of($kin, $found->form), $found->inferred),
            $found->warnings,
            substr_count(trim($given['text']), "\n") + 1,
            AuditData::of($found->form),
        ));
    }

    #[Makes('/api/forms', 'saveForm', 'Saved', FormData::class, takes: ['text' => 'string', 'title?' => 'string', 'declined?' => ['string']], status: 201)]
    public function store(Request $request, ReadForm $read, SaveForm $save): JsonResponse
    {
        $given = $this->given($request);
        $form = $save($read($given['text'], $given['title'] ?? '')->form, array_values($given['declined'] ?? []), $this->viewer($request));

        return new JsonResponse(FormData::saved($form->refresh()), 201);
    }

    #[Reads('/api/forms/{form}', 'form', 'A form, cut for no group or as a course has it', FormData::class, query: ['course' => 'string'])]
    public function show(Request $request, Form $form, PacedCourse $paced): JsonResponse
    {
        $course = NamedCourse::of($request->query('course'), $form);
        if ($course === null) {
            return new JsonResponse(FormData::saved($form));
        }

        $placed = $form->placed();

        return new JsonResponse(FormData::inCourse($course, $placed, $paced($course, $placed)));
    }

    #[Puts('/api/forms/{form}/joins', 'pinJoins', 'Cut again', FormData::class, takes: ['joins' => [['after' => 'integer', 'pin' => 'enum:always,never|null', 'isCut?' => 'boolean']]])]
    public function joins(Request $request, Form $form, ChangeCutting $change): JsonResponse
    {
        $given = $request->validate([
            'joins' => ['required', 'array', 'min:1', 'max:600'],
            'joins.*.after' => ['required', 'integer', 'min:1', 'distinct'],
            'joins.*.pin' => ['present', 'nullable', Rule::enum(CutPin::class)],
            'joins.*.isCut' => ['sometimes', 'boolean'],
        ]);
        $pins = $cuts = [];
        foreach ($given['joins'] as $join) {
            $pins[(int) $join['after']] = $join['pin'] === null ? null : CutPin::from($join['pin']);
            if (isset($join['isCut'])) {
                $cuts[(int) $join['after']] = (bool) $join['isCut'];
            }
        }
        $moved = $change->pins($form, $pins, $cuts, $this->viewer($request));

        return new JsonResponse(FormData::saved($form->refresh(), null, $moved));
    }

    #[Puts('/api/forms/{form}/cutting', 'sizeLessons', 'Cut again', FormData::class, takes: SentSize::SHAPE)]
    public function cutting(Request $request, Form $form, ChangeCutting $change): JsonResponse
    {
        $moved = $change->size($form, SentSize::of($request->all()));

        return new JsonResponse(FormData::saved($form->refresh(), moved: $moved));
    }

    #[Reads('/api/forms/{form}/removal', 'formRemoval', 'What would go with it', RemovalData::class)]
    public function removal(Form $form, RemoveForm $remove): JsonResponse
    {
        return new JsonResponse(RemovalData::of($remove->would($form)));
    }

    #[Removes('/api/forms/{form}', 'removeForm', 'Taken back', mayConflict: true)]
    public function destroy(Form $form, RemoveForm $remove): Response
    {
        $remove($form);

        return response()->noContent();
    }

    /** @return array{text: string, title?: string|null, declined?: array<string>} */
    private function given(Request $request): array
    {
        /** @var array{text: string, title?: string|null, declined?: array<string>} $given */
        $given = $request->validate([
            'text' => ['present', 'nullable', 'string', 'max:'.self::MOST_TEXT],
            'title' => ['nullable', 'string', 'max:300'],
            'declined' => ['array', 'max:600'],
            'declined.*' => ['string', 'max:120'],
        ]);

        return [...$given, 'text' => (string) $given['text']];
    }
}
