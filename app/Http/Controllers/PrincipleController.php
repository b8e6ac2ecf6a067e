<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\JoinPrinciples;
use App\Actions\ReadPrinciples;
use App\Actions\Refused;
use App\Actions\RemovePrinciples;
use App\Actions\RevisePrinciples;
use App\Actions\SavePrinciples;
use App\Http\Data\BitesData;
use App\Http\Data\PrincipleSetData;
use App\Http\Data\PrincipleSetSummary;
use App\Http\Data\PrinciplesReadData;
use App\Http\Data\PrincipleStarterData;
use App\Http\Data\RemovalData;
use App\Http\Data\ShownPrincipleData;
use App\Http\Data\VersionData;
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use App\Models\JoinedForm;
use App\Models\PrincipleSet;
use App\Models\PrincipleVersion;
use App\Models\User;
use App\PrincipleStarters;
use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\Edit\BiteEdit;
use Gorvan\Core\Principle\Edit\SetEditReader;
use Gorvan\Core\Principle\PrincipleCsv;
use Gorvan\Core\Principle\PrincipleFile;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;

/** Sets of principles: read, made, edited, joined to forms, and written as files. */
final class PrincipleController extends Controller
{
    private const MOST_TEXT = 1_000_000;

    public function __construct(private readonly RevisePrinciples $revise, private readonly CurrentSchool $school)
    {
    }

    #[Reads('/api/principle-starters', 'principleStarters', 'Sets to begin from', [PrincipleStarterData::class])]
    public function starters(PrincipleStarters $starters): JsonResponse
    {
        return new JsonResponse($starters->all());
    }

    #[Reads('/api/principle-sets', 'principleSets', 'The sets of the school', [PrincipleSetSummary::class])]
    public function index(): JsonResponse
    {
        $groups = Group::whereNotNull('principle_set_id')->orderBy('name')->get(['id', 'school_id', 'name', 'principle_set_id'])->groupBy('principle_set_id');

        return new JsonResponse(PrincipleSet::orderBy('title')->get()->map(static function (PrincipleSet $row) use ($groups): PrincipleSetSummary {
            $set = $row->set();

            return new PrincipleSetSummary($row->id, $set->title, $set->about, count($set->principles), $set->families, array_values($groups->get($row->id)?->pluck('name')->all() ?? []));
        })->all());
    }

    #[Makes('/api/principle-sets', 'makePrincipleSet', 'Made', PrinciplesReadData::class, takes: ['text' => 'string', 'title?' => 'string|null', 'form?' => 'string|null'], status: 201)]
    public function store(Request $request, ReadPrinciples $read, SavePrinciples $save): JsonResponse
    {
        $given = $this->file($request);
        $form = isset($given['form']) ? Form::find($given['form']) ?? throw Refused::because(Message::of('group.form'), 'form') : null;
        $found = $read($given['text'], $given['title'] ?? null, $form);

        return new JsonResponse(new PrinciplesReadData(PrincipleSetData::of($save($found->set, $this->viewer($request), $found->bites, $form)), $found->warnings), 201);
    }

    #[Reads('/api/principle-sets/{principleSet}', 'principleSet', 'A set', PrincipleSetData::class)]
    public function show(PrincipleSet $principleSet): JsonResponse
    {
        return new JsonResponse(PrincipleSetData::of($principleSet));
    }

    #[Makes('/api/principle-sets/{principleSet}/edits', 'editPrinciples', 'The set after them', PrincipleSetData::class, takes: ['base' => 'integer', 'edits' => ['any'], 'id?' => 'string'], mayConflict: true)]
    public function edit(Request $request, PrincipleSet $principleSet): JsonResponse
    {
        $given = JsonNode::parse($request->getContent());
        $this->revise->edit($principleSet, $given->required('base')->whole(0, self::MOST_INTEGER), SetEditReader::read($given->required('edits')), $this->viewer($request), $given->optional('id')?->text(26));

        return new JsonResponse(PrincipleSetData::of($principleSet));
    }

    #[Makes('/api/principle-sets/{principleSet}/import', 'importPrinciples', 'The set after it', PrinciplesReadData::class, takes: ['base' => 'integer', 'text' => 'string'], mayConflict: true, once: true)]
    public function import(Request $request, PrincipleSet $principleSet, ReadPrinciples $read): JsonResponse
    {
        $given = $this->file($request);
        $base = (int) $request->validate(['base' => ['required', 'integer', 'min:0', 'max:'.self::MOST_INTEGER]])['base'];
        $found = $read($given['text'], $principleSet->title, null);
        $this->revise->replace($principleSet, $base, $found->set, $this->viewer($request), Message::of('version.imported'));

        return new JsonResponse(new PrinciplesReadData(PrincipleSetData::of($principleSet), $found->warnings));
    }

    #[Reads('/api/principle-sets/{principleSet}/versions', 'principleVersions', 'The states it was in, the latest first', [VersionData::class])]
    public function versions(Request $request, PrincipleSet $principleSet): JsonResponse
    {
        $me = $this->viewer($request)->authorId();
        $zone = $this->school->zone();
        $names = User::where('school_id', $principleSet->school_id)->pluck('name', 'id');

        return new JsonResponse($principleSet->versions()->get(['id', 'school_id', 'set_id', 'number', 'made_by', 'made_at', 'what'])->map(static fn (PrincipleVersion $version): VersionData => new VersionData(
            $version->number,
            $names[$version->made_by] ?? null,
            $version->made_at->setTimezone($zone)->toRfc3339String(),
            $version->changes(),
            $version->made_by === $me,
        ))->all());
    }

    #[Makes('/api/principle-sets/{principleSet}/restore', 'restorePrinciples', 'The set as it was', PrincipleSetData::class, takes: ['base' => 'integer', 'number' => 'integer'], mayConflict: true, once: true)]
    public function restore(Request $request, PrincipleSet $principleSet): JsonResponse
    {
        $given = $request->validate(['base' => ['required', 'integer', 'min:0', 'max:'.self::MOST_INTEGER], 'number' => ['required', 'integer', 'min:1', 'max:'.self::MOST_INTEGER]]);
        $was = $this->revise->version($principleSet, (int) $given['number']);
        $this->revise->replace($principleSet, (int) $given['base'], $was, $this->viewer($request), Message::of('version.restored', number: (int) $given['number']));

        return new JsonResponse(PrincipleSetData::of($principleSet));
    }

    #[Reads('/api/principle-sets/{principleSet}/file', 'principleFile', 'The set as a file', query: ['as' => 'enum:json,csv', 'form' => 'string'])]
    public function written(Request $request, PrincipleSet $principleSet): Response
    {
        $given = $request->validate(['as' => ['nullable', Rule::in(['json', 'csv'])], 'form' => ['nullable', 'uuid']]);
        $isCsv = ($given['as'] ?? 'json') === 'csv';
        $joined = isset($given['form']) ? JoinedForm::between($principleSet->id, $given['form']) : null;
        $set = $principleSet->set();
        $name = Str::slug($set->title) ?: 'principles';

        return new Response($isCsv ? PrincipleCsv::written($set) : PrincipleFile::written($set, $joined?->bites() ?? new Bites), 200, [
            'Content-Type' => ($isCsv ? 'text/csv' : 'application/json').'; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"$name.".($isCsv ? 'csv' : 'gorvan.json').'"',
        ]);
    }

    #[Reads('/api/principle-sets/{principleSet}/removal', 'principleSetRemoval', 'What would go with it', RemovalData::class)]
    public function removal(PrincipleSet $principleSet, RemovePrinciples $remove): JsonResponse
    {
        return new JsonResponse(RemovalData::of($remove->would($principleSet)));
    }

    #[Removes('/api/principle-sets/{principleSet}', 'removePrincipleSet', 'Taken back', mayConflict: true)]
    public function destroy(PrincipleSet $principleSet, RemovePrinciples $remove): Response
    {
        $remove($principleSet);

        return response()->noContent();
    }

    #[Reads('/api/principle-sets/{principleSet}/forms/{form}', 'bites', 'Where it bites in a form', BitesData::class)]
    public function bites(PrincipleSet $principleSet, Form $form): JsonResponse
    {
        return new JsonResponse(BitesData::of($principleSet, $form, JoinedForm::between($principleSet->id, $form->id)));
    }

    #[Makes('/api/principle-sets/{principleSet}/forms/{form}', 'joinPrinciples', 'Where it bites after it', BitesData::class, takes: ['base?' => 'integer|null', 'edit' => 'any'], mayConflict: true)]
    public function join(Request $request, PrincipleSet $principleSet, Form $form, JoinPrinciples $join): JsonResponse
    {
        $given = JsonNode::parse($request->getContent());
        $joined = $join($principleSet, $form, BiteEdit::read($given->required('edit')), $given->optional('base')?->whole(0, self::MOST_INTEGER));

        return new JsonResponse(BitesData::of($principleSet, $form, $joined));
    }

    #[Reads('/api/forms/{form}/principles', 'shownIn', 'What principles the entries of a form show', [ShownPrincipleData::class])]
    public function shownIn(Form $form): JsonResponse
    {
        $score = $form->placed()->form;
        $shown = [];
        foreach (JoinedForm::where('form_id', $form->id)->get() as $joined) {
            $row = PrincipleSet::findOrFail($joined->set_id);
            $set = $row->set();
            foreach ($joined->bites()->within($set, $score)->all as $bite) {
                $shown[] = new ShownPrincipleData($row->id, $set->title, $set->principle($bite->principle)->title ?? '', (int) $score->positionOf($bite->entry), $bite->strength, $bite->note);
            }
        }

        return new JsonResponse($shown);
    }

    /** @return array{text: string, title?: string|null, form?: string|null} */
    private function file(Request $request): array
    {
        /** @var array{text: string, title?: string|null, form?: string|null} $given */
        $given = $request->validate([
            'text' => ['required', 'string', 'max:'.self::MOST_TEXT],
            'title' => ['nullable', 'string', 'max:300'],
            'form' => ['nullable', 'uuid'],
        ]);

        return $given;
    }
}
