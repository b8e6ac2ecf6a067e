<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Refused;
use App\Actions\ReviseForm;
use App\Http\Data\DifferenceData;
use App\Http\Data\ScoreData;
use App\Http\Data\VersionData;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\FormVersion;
use App\Models\User;
use Gorvan\Core\Form\Edit\FormEditReader;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** The form editor: the score as it stands, changes to it, and the states it was in. */
final class ScoreController extends Controller
{
    public function __construct(private readonly ReviseForm $revise, private readonly CurrentSchool $school)
    {
    }

    #[OA\Get(path: '/api/forms/{form}/score', operationId: 'score', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'The whole score, audited', content: new OA\JsonContent(ref: ScoreData::class))])]
    public function show(Form $form): JsonResponse
    {
        return new JsonResponse(ScoreData::saved($form));
    }

    #[OA\Post(path: '/api/forms/{form}/edits', operationId: 'editForm', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['base', 'edits'], properties: [new OA\Property(property: 'base', type: 'integer'), new OA\Property(property: 'edits', type: 'array', items: new OA\Items(type: 'object', additionalProperties: true))])), responses: [new OA\Response(response: 200, description: 'The score after it', content: new OA\JsonContent(ref: ScoreData::class)), new OA\Response(response: 409, ref: '#/components/responses/Problem'), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function edit(Request $request, Form $form): JsonResponse
    {
        // Read by core from the text itself, as a form file is, so that `{}` and `[]` stay apart.
        $given = JsonNode::parse($request->getContent());
        $edits = (new FormEditReader)->read($given->required('edits'));
        try {
            $this->revise->edit($form, $given->required('base')->whole(0, PHP_INT_MAX), $edits, $this->person($request));
        } catch (BadInput $e) {
            throw self::atItsField($e);
        }

        return new JsonResponse(ScoreData::saved($form));
    }

    #[OA\Get(path: '/api/forms/{form}/versions', operationId: 'versions', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'The states it was in, the latest first', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: VersionData::class)))])]
    public function versions(Form $form): JsonResponse
    {
        $zone = $this->school->zone();
        $names = User::where('school_id', $form->school_id)->pluck('name', 'id');

        return new JsonResponse($form->versions()->get(['id', 'school_id', 'form_id', 'number', 'made_by', 'made_at', 'what'])->map(static fn (FormVersion $version): VersionData => new VersionData(
            $version->number,
            $names[$version->made_by] ?? null,
            $version->made_at->setTimezone($zone)->toRfc3339String(),
            $version->what,
        ))->all());
    }

    #[OA\Get(path: '/api/forms/{form}/difference', operationId: 'difference', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'from', required: true, schema: new OA\Schema(type: 'integer')), new OA\QueryParameter(name: 'to', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'What changed from one version to another', content: new OA\JsonContent(ref: DifferenceData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function difference(Request $request, Form $form): JsonResponse
    {
        $given = $request->validate(['from' => ['required', 'integer'], 'to' => ['required', 'integer']]);

        return new JsonResponse(DifferenceData::between($this->revise->version($form, (int) $given['from']), $this->revise->version($form, (int) $given['to'])));
    }

    #[OA\Post(path: '/api/forms/{form}/restore', operationId: 'restoreForm', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['base', 'number'], properties: [new OA\Property(property: 'base', type: 'integer'), new OA\Property(property: 'number', type: 'integer')])), responses: [new OA\Response(response: 200, description: 'The score as it was', content: new OA\JsonContent(ref: ScoreData::class)), new OA\Response(response: 409, ref: '#/components/responses/Problem'), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function restore(Request $request, Form $form): JsonResponse
    {
        $given = $request->validate(['base' => ['required', 'integer', 'min:0'], 'number' => ['required', 'integer', 'min:0']]);
        $was = $this->revise->version($form, (int) $given['number']);
        $this->revise->replace($form, (int) $given['base'], static fn (): CoreForm => $was, $this->person($request), "Restored version {$given['number']}.");

        return new JsonResponse(ScoreData::saved($form));
    }

    #[OA\Post(path: '/api/forms/{form}/take-back', operationId: 'takeBackEdit', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['version'], properties: [new OA\Property(property: 'version', type: 'integer')])), responses: [new OA\Response(response: 200, description: 'The score without it', content: new OA\JsonContent(ref: ScoreData::class)), new OA\Response(response: 409, ref: '#/components/responses/Problem'), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function takeBack(Request $request, Form $form): JsonResponse
    {
        $given = $request->validate(['version' => ['required', 'integer', 'min:1']]);
        $this->revise->takeBack($form, (int) $given['version'], $this->person($request));

        return new JsonResponse(ScoreData::saved($form));
    }

    /** A value that cannot be, told by the name of its field; the place names the entry and the field. */
    private static function atItsField(BadInput $e): Refused
    {
        $field = preg_match('/\.([a-z_]+)(?:\[(\d+)\])?(?:\.([a-z_]+))?[^.]*$/', $e->place, $m) === 1 ? str_replace('_', ' ', $m[1]).(($m[2] ?? '') === '' ? '' : ' '.((int) $m[2] + 1)).(($m[3] ?? '') === '' ? '' : ", $m[3]") : '';

        return Refused::because(ucfirst($field === '' ? $e->reason : "$field: $e->reason").'.', $e->place);
    }
}
