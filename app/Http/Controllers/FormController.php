<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeCutting;
use App\Actions\ReadForm;
use App\Actions\RemoveForm;
use App\Actions\SaveForm;
use App\Http\Data\AuditData;
use App\Http\Data\FormData;
use App\Http\Data\FormPreviewData;
use App\Http\Data\FormSummary;
use App\Http\Data\KinshipData;
use App\Models\Form;
use App\Models\Group;
use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Kinship;
use Gorvan\Core\Lesson\LessonCutter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

final class FormController extends Controller
{
    /** Generous for a form file, and told apart from it by core, which names its own limit. */
    public const MOST_TEXT = 3_000_000;

    #[OA\Get(path: '/api/forms', operationId: 'forms', responses: [new OA\Response(response: 200, description: 'The forms of the school', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: FormSummary::class)))])]
    public function index(): JsonResponse
    {
        $groups = Group::all(['id', 'school_id', 'name', 'form_id'])->groupBy('form_id');

        return new JsonResponse(Form::withCount('entries', 'lessons')->withSum('lessons', 'load')->orderBy('title')->get()->map(
            static fn (Form $form): FormSummary => new FormSummary(
                $form->id,
                $form->title,
                (int) $form->getAttribute('entries_count'),
                (int) $form->getAttribute('lessons_count'),
                (float) $form->getAttribute('lessons_sum_load'),
                array_values(($groups[$form->id] ?? collect())->pluck('name')->all()),
            ),
        )->all());
    }

    #[OA\Post(path: '/api/forms/preview', operationId: 'previewForm', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['text'], properties: [new OA\Property(property: 'text', type: 'string'), new OA\Property(property: 'title', type: 'string')])), responses: [new OA\Response(response: 200, description: 'What would be made', content: new OA\JsonContent(ref: FormPreviewData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
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

    #[OA\Post(path: '/api/forms', operationId: 'saveForm', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['text'], properties: [new OA\Property(property: 'text', type: 'string'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'declined', type: 'array', items: new OA\Items(type: 'string'))])), responses: [new OA\Response(response: 201, description: 'Saved', content: new OA\JsonContent(ref: FormData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function store(Request $request, ReadForm $read, SaveForm $save): JsonResponse
    {
        $given = $this->given($request);
        $form = $save($read($given['text'], $given['title'] ?? '')->form, array_values($given['declined'] ?? []), $this->person($request));

        return new JsonResponse(FormData::saved($form->refresh()), 201);
    }

    #[OA\Get(path: '/api/forms/{form}', operationId: 'form', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'A form, cut', content: new OA\JsonContent(ref: FormData::class))])]
    public function show(Form $form): JsonResponse
    {
        return new JsonResponse(FormData::saved($form));
    }

    #[OA\Put(path: '/api/forms/{form}/joins', operationId: 'pinJoins', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['joins'], properties: [new OA\Property(property: 'joins', type: 'array', items: new OA\Items(required: ['after', 'pin'], properties: [new OA\Property(property: 'after', type: 'integer'), new OA\Property(property: 'pin', type: 'string', enum: ['always', 'never'], nullable: true)]))])), responses: [new OA\Response(response: 200, description: 'Cut again', content: new OA\JsonContent(ref: FormData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function joins(Request $request, Form $form, ChangeCutting $change): JsonResponse
    {
        $given = $request->validate([
            'joins' => ['required', 'array', 'min:1', 'max:600'],
            'joins.*.after' => ['required', 'integer', 'min:1', 'distinct'],
            'joins.*.pin' => ['present', 'nullable', Rule::enum(CutPin::class)],
        ]);
        $pins = [];
        foreach ($given['joins'] as $join) {
            $pins[(int) $join['after']] = $join['pin'] === null ? null : CutPin::from($join['pin']);
        }
        $change->pins($form, $pins, $this->person($request));

        return new JsonResponse(FormData::saved($form->refresh()));
    }

    #[OA\Put(path: '/api/forms/{form}/cutting', operationId: 'sizeLessons', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(properties: [new OA\Property(property: 'target', type: 'number', nullable: true), new OA\Property(property: 'lessons', type: 'integer', nullable: true)])), responses: [new OA\Response(response: 200, description: 'Cut again', content: new OA\JsonContent(ref: FormData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function cutting(Request $request, Form $form, ChangeCutting $change): JsonResponse
    {
        $given = $request->validate([
            'target' => ['nullable', 'numeric', 'gt:0', 'max:1000', 'prohibits:lessons'],
            'lessons' => ['nullable', 'integer', 'min:1', 'max:600'],
        ]);
        $change->size($form, isset($given['target']) ? (float) $given['target'] : null, isset($given['lessons']) ? (int) $given['lessons'] : null);

        return new JsonResponse(FormData::saved($form->refresh()));
    }

    #[OA\Delete(path: '/api/forms/{form}', operationId: 'removeForm', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 204, description: 'Taken back'), new OA\Response(response: 409, ref: '#/components/responses/Problem')])]
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
