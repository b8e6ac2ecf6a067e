<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReadForm;
use App\Actions\ReviseForm;
use App\Http\Data\DifferenceData;
use App\Http\Data\FormData;
use App\Http\Data\ImportPreviewData;
use App\Http\Data\KinshipData;
use App\Http\Data\LossesData;
use App\Http\Data\ScoreData;
use App\Http\Data\StarterData;
use App\Models\Form;
use App\Starters;
use Gorvan\Core\Form\Export;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Form\FormMatcher;
use Gorvan\Core\Form\Kinship;
use Gorvan\Core\Form\KinshipReader;
use Gorvan\Core\Form\ReadForm as CoreReadForm;
use Gorvan\Core\Lesson\LessonCutter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** Forms as files: written in any of the formats, and read again over a form that is there. */
final class FormFileController extends Controller
{
    #[OA\Get(path: '/api/starters', operationId: 'starters', responses: [new OA\Response(response: 200, description: 'Sets to begin from', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: StarterData::class)))])]
    public function starters(Starters $starters): JsonResponse
    {
        return new JsonResponse($starters->all());
    }

    #[OA\Get(path: '/api/forms/{form}/file', operationId: 'formFile', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'as', schema: new OA\Schema(type: 'string', enum: ['json', 'csv', 'list']))], responses: [new OA\Response(response: 200, description: 'The form as a file', content: new OA\JsonContent(type: 'object'))])]
    public function file(Request $request, Form $form): Response
    {
        $given = $request->validate(['as' => ['nullable', Rule::enum(Export::class)]]);
        $as = Export::from($given['as'] ?? Export::Json->value);
        [$type, $ending] = match ($as) {
            Export::Json => ['application/json', 'gorvan.json'],
            Export::Csv => ['text/csv', 'csv'],
            Export::PlainList => ['text/plain', 'txt'],
        };
        $name = Str::slug($form->title) ?: 'form';

        return new Response($as->write($form->score()->form), 200, [
            'Content-Type' => "$type; charset=utf-8",
            'Content-Disposition' => "attachment; filename=\"$name.$ending\"",
        ]);
    }

    #[OA\Get(path: '/api/forms/{form}/losses', operationId: 'losses', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'What each format cannot carry', content: new OA\JsonContent(ref: LossesData::class))])]
    public function losses(Form $form): JsonResponse
    {
        $score = $form->score()->form;

        return new JsonResponse(new LossesData(Export::Csv->losses($score), Export::PlainList->losses($score)));
    }

    #[OA\Post(path: '/api/forms/{form}/import/preview', operationId: 'previewImport', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['text'], properties: [new OA\Property(property: 'text', type: 'string'), new OA\Property(property: 'declined', type: 'array', items: new OA\Items(type: 'string'))])), responses: [new OA\Response(response: 200, description: 'What it would change', content: new OA\JsonContent(ref: ImportPreviewData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function preview(Request $request, Form $form, ReadForm $read, LessonCutter $cutter): JsonResponse
    {
        $given = $this->given($request);
        $before = $form->score()->form;
        $found = $read($given['text'], $before->title);
        [$after, $supposed] = self::readOver($before, $found, $given['declined'] ?? []);

        return new JsonResponse(new ImportPreviewData(
            $form->version,
            FormData::of($after, $cutter->cut($after)),
            DifferenceData::between($before, $after),
            array_map(static fn (Kinship $kin): KinshipData => KinshipData::of($kin, $after), $supposed),
            $found->warnings,
            substr_count(trim($given['text']), "\n") + 1,
        ));
    }

    #[OA\Post(path: '/api/forms/{form}/import', operationId: 'importForm', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['base', 'text'], properties: [new OA\Property(property: 'base', type: 'integer'), new OA\Property(property: 'text', type: 'string'), new OA\Property(property: 'declined', type: 'array', items: new OA\Items(type: 'string'))])), responses: [new OA\Response(response: 200, description: 'The score after it', content: new OA\JsonContent(ref: ScoreData::class)), new OA\Response(response: 409, ref: '#/components/responses/Problem'), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function import(Request $request, Form $form, ReadForm $read, ReviseForm $revise): JsonResponse
    {
        $given = $this->given($request);
        $base = (int) $request->validate(['base' => ['required', 'integer', 'min:0']])['base'];
        $found = $read($given['text'], $form->title);
        $revise->replace(
            $form,
            $base,
            static fn (CoreForm $before): CoreForm => self::readOver($before, $found, $given['declined'] ?? [])[0],
            $this->person($request),
            'Imported a file over it.',
        );

        return new JsonResponse(ScoreData::saved($form));
    }

    /**
     * A form with a file read over it, and the relations that were supposed of what is new.
     *
     * @param  array<string>  $declined ids of entries whose supposed relation the teacher did not confirm
     * @return array{CoreForm, list<Kinship>}
     */
    private static function readOver(CoreForm $before, CoreReadForm $read, array $declined): array
    {
        $matcher = new FormMatcher;
        $after = $matcher->matched($before, $read);
        $supposed = $matcher->supposed($before, $read, $after);
        $new = array_map(static fn (Kinship $kin): string => $after->at($kin->position)->id, $supposed);

        return [KinshipReader::declined($after, array_intersect($declined, $new)), $supposed];
    }

    /** @return array{text: string, declined?: array<string>} */
    private function given(Request $request): array
    {
        /** @var array{text: string, declined?: array<string>} $given */
        $given = $request->validate([
            'text' => ['required', 'string', 'max:'.FormController::MOST_TEXT],
            'declined' => ['array', 'max:600'],
            'declined.*' => ['string', 'max:120'],
        ]);

        return $given;
    }
}
