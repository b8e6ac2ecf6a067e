<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReadForm;
use App\Actions\Refused;
use App\Actions\ReviseForm;
use App\Http\Data\DifferenceData;
use App\Http\Data\EditedData;
use App\Http\Data\FormData;
use App\Http\Data\ImportPreviewData;
use App\Http\Data\KinshipData;
use App\Http\Data\LossesData;
use App\Http\Data\StarterData;
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Reads;
use App\Models\Form;
use App\Starters;
use Gorvan\Core\Form\Change\FormMatcher;
use Gorvan\Core\Form\Change\Losses;
use Gorvan\Core\Form\File\Export;
use Gorvan\Core\Form\File\ReadForm as CoreReadForm;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Form\Kinship;
use Gorvan\Core\Form\KinshipReader;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;

/** Forms as files: written in any of the formats, and read again over a form that is there. */
final class FormFileController extends Controller
{
    #[Reads('/api/starters', 'starters', 'Sets to begin from', [StarterData::class])]
    public function starters(Starters $starters): JsonResponse
    {
        return new JsonResponse($starters->all());
    }

    #[Reads('/api/forms/{form}/file', 'formFile', 'The form as a file', query: ['as' => 'enum:json,csv,list'])]
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

        return new Response($as->write($form->placed()->form), 200, [
            'Content-Type' => "$type; charset=utf-8",
            'Content-Disposition' => "attachment; filename=\"$name.$ending\"",
        ]);
    }

    #[Reads('/api/forms/{form}/losses', 'losses', 'What each format cannot carry', LossesData::class)]
    public function losses(Form $form): JsonResponse
    {
        $score = $form->placed()->form;

        return new JsonResponse(new LossesData(Losses::of($score, Export::Csv), Losses::of($score, Export::PlainList)));
    }

    #[Makes('/api/forms/{form}/import/preview', 'previewImport', 'What it would change', ImportPreviewData::class, takes: ['text' => 'string', 'declined?' => ['string'], 'ids?' => 'enum:same,other'])]
    public function preview(Request $request, Form $form, ReadForm $read, LessonCutter $cutter): JsonResponse
    {
        $given = $this->given($request);
        $before = $form->placed()->form;
        $found = $read($given['text'], $before->title);
        [$after, $supposed] = self::readOver($before, $found, $given);

        return new JsonResponse(new ImportPreviewData(
            $form->version,
            FormData::of($after, $cutter->cut($after)),
            DifferenceData::between($before, $after),
            array_map(static fn (Kinship $kin): KinshipData => KinshipData::of($kin, $after), $supposed),
            $found->warnings,
            substr_count(trim($given['text']), "\n") + 1,
            FormMatcher::isDoubtful($before, $found),
        ));
    }

    #[Makes('/api/forms/{form}/import', 'importForm', 'The score after it', EditedData::class, takes: ['base' => 'integer', 'text' => 'string', 'declined?' => ['string'], 'ids?' => 'enum:same,other'], mayConflict: true, once: true)]
    public function import(Request $request, Form $form, ReadForm $read, ReviseForm $revise): JsonResponse
    {
        $given = $this->given($request);
        $base = (int) $request->validate(['base' => ['required', 'integer', 'min:0', 'max:'.self::MOST_INTEGER]])['base'];
        $found = $read($given['text'], $form->title);
        $moved = $revise->replace(
            $form,
            $base,
            static fn (CoreForm $before): CoreForm => FormMatcher::isDoubtful($before, $found) && ! isset($given['ids'])
                ? throw Refused::because(Message::of('import.ids'), 'ids')
                : self::readOver($before, $found, $given)[0],
            $this->viewer($request),
            Message::of('version.imported'),
        );

        return new JsonResponse(EditedData::saved($form, $moved));
    }

    /**
     * A form with a file read over it, and the relations that were supposed of what is new.
     *
     * @param  array{declined?: array<string>, ids?: string}  $given declined: ids of entries whose supposed relation the teacher
     *                                                                did not confirm; ids: whether like ids are the same entries
     * @return array{CoreForm, list<Kinship>}
     */
    private static function readOver(CoreForm $before, CoreReadForm $read, array $given): array
    {
        $matcher = new FormMatcher;
        $after = $matcher->matched($before, $read, ($given['ids'] ?? null) === 'same' || ! FormMatcher::isDoubtful($before, $read));
        $supposed = $matcher->supposed($before, $read, $after);
        $new = array_map(static fn (Kinship $kin): string => $after->at($kin->position)->id, $supposed);

        return [KinshipReader::declined($after, array_intersect($given['declined'] ?? [], $new)), $supposed];
    }

    /** @return array{text: string, declined?: array<string>, ids?: string} */
    private function given(Request $request): array
    {
        /** @var array{text: string, declined?: array<string>, ids?: string} $given */
        $given = $request->validate([
            'text' => ['required', 'string', 'max:'.FormController::MOST_TEXT],
            'declined' => ['array', 'max:600'],
            'declined.*' => ['string', 'max:120'],
            'ids' => ['string', 'in:same,other'],
        ]);

        return $given;
    }
}
