<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReadForm;
use App\Actions\Refused;
use App\Actions\ReviseForm;
use App\Forms\LikeIds;
use App\Forms\Requests\FormFileQuery;
use App\Forms\Requests\FormImport;
use App\Forms\Requests\TriedImport;
use App\Http\Data\DifferenceData;
use App\Http\Data\EditedData;
use App\Http\Data\FormData;
use App\Http\Data\ImportPreviewData;
use App\Http\Data\KinshipData;
use App\Http\Data\LossesData;
use App\Http\Data\StarterData;
use App\Models\Form;
use App\Shared\Description\Operation;
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

/** Forms as files: written in any of the formats, and read again over a form that is there. */
final class FormFileController extends Controller
{
    #[Operation('starters', 'Sets to begin from', [StarterData::class])]
    public function starters(Starters $starters): JsonResponse
    {
        return new JsonResponse($starters->all());
    }

    #[Operation('formFile', 'The form as a file')]
    public function file(FormFileQuery $asked, Form $form): Response
    {
        $as = $asked->as ?? Export::Json;
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

    #[Operation('losses', 'What each format cannot carry', LossesData::class)]
    public function losses(Form $form): JsonResponse
    {
        $score = $form->placed()->form;

        return new JsonResponse(new LossesData(Losses::of($score, Export::Csv), Losses::of($score, Export::PlainList)));
    }

    #[Operation('previewImport', 'What it would change', ImportPreviewData::class)]
    public function preview(TriedImport $sent, Form $form, ReadForm $read, LessonCutter $cutter): JsonResponse
    {
        $before = $form->placed()->form;
        $found = $read($sent->text, $before->title);
        [$after, $supposed] = self::readOver($before, $found, $sent->declined, $sent->ids);

        return new JsonResponse(new ImportPreviewData(
            $form->version,
            FormData::of($after, $cutter->cut($after)),
            DifferenceData::between($before, $after),
            array_map(static fn (Kinship $kin): KinshipData => KinshipData::of($kin, $after), $supposed),
            $found->warnings,
            substr_count(trim($sent->text), "\n") + 1,
            FormMatcher::isDoubtful($before, $found),
        ));
    }

    #[Operation('importForm', 'The score after it', EditedData::class, mayConflict: true)]
    public function import(Request $request, FormImport $sent, Form $form, ReadForm $read, ReviseForm $revise): JsonResponse
    {
        $found = $read($sent->text, $form->title);
        $moved = $revise->replace(
            $form,
            $sent->base,
            static fn (CoreForm $before): CoreForm => FormMatcher::isDoubtful($before, $found) && $sent->ids === null
                ? throw Refused::because(Message::of('import.ids'), 'ids')
                : self::readOver($before, $found, $sent->declined, $sent->ids)[0],
            $this->viewer($request),
            Message::of('version.imported'),
        );

        return new JsonResponse(EditedData::saved($form, $moved));
    }

    /**
     * A form with a file read over it, and the relations that were supposed of what is new.
     *
     * @param  list<string>  $declined  ids of entries whose supposed relation the teacher did not confirm
     * @param  LikeIds|null  $ids  whether like ids are the same entries
     * @return array{CoreForm, list<Kinship>}
     */
    private static function readOver(CoreForm $before, CoreReadForm $read, array $declined, ?LikeIds $ids): array
    {
        $matcher = new FormMatcher;
        $after = $matcher->matched($before, $read, $ids === LikeIds::Same || ! FormMatcher::isDoubtful($before, $read));
        $supposed = $matcher->supposed($before, $read, $after);
        $new = array_map(static fn (Kinship $kin): string => $after->at($kin->position)->id, $supposed);

        return [KinshipReader::declined($after, array_intersect($declined, $new)), $supposed];
    }
}
