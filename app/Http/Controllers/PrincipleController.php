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
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use App\Models\JoinedForm;
use App\Models\PrincipleSet;
use App\Models\PrincipleVersion;
use App\Models\User;
use App\Principles\Requests\BiteChange;
use App\Principles\Requests\PrincipleEdits;
use App\Principles\Requests\PrincipleFileQuery;
use App\Principles\Requests\PrinciplesFile;
use App\Principles\Requests\PrinciplesText;
use App\PrincipleStarters;
use App\Shared\Description\Operation;
use App\Shared\FileKind;
use App\Shared\Requests\Restoring;
use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\Edit\BiteEdit;
use Gorvan\Core\Principle\Edit\SetEditReader;
use Gorvan\Core\Principle\PrincipleCsv;
use Gorvan\Core\Principle\PrincipleFile;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** Sets of principles: read, made, edited, joined to forms, and written as files. */
final class PrincipleController extends Controller
{
    public function __construct(private readonly RevisePrinciples $revise, private readonly CurrentSchool $school)
    {
    }

    #[Operation('principleStarters', 'Sets to begin from', [PrincipleStarterData::class])]
    public function starters(PrincipleStarters $starters): JsonResponse
    {
        return new JsonResponse($starters->all());
    }

    #[Operation('principleSets', 'The sets of the school', [PrincipleSetSummary::class])]
    public function index(): JsonResponse
    {
        $groups = Group::whereNotNull('principle_set_id')->orderBy('name')->get(['id', 'school_id', 'name', 'principle_set_id'])->groupBy('principle_set_id');

        return new JsonResponse(PrincipleSet::orderBy('title')->get()->map(static function (PrincipleSet $row) use ($groups): PrincipleSetSummary {
            $set = $row->set();

            return new PrincipleSetSummary($row->id, $set->title, $set->about, count($set->principles), $set->families, array_values($groups->get($row->id)?->pluck('name')->all() ?? []));
        })->all());
    }

    #[Operation('makePrincipleSet', 'Made', PrinciplesReadData::class, status: 201)]
    public function store(Request $request, PrinciplesFile $sent, ReadPrinciples $read, SavePrinciples $save): JsonResponse
    {
        $form = $sent->form === null ? null : Form::find($sent->form) ?? throw Refused::because(Message::of('group.form'), 'form');
        $found = $read($sent->text, $sent->title, $form);

        return new JsonResponse(new PrinciplesReadData(PrincipleSetData::of($save($found->set, $this->viewer($request), $found->bites, $form)), $found->warnings), 201);
    }

    #[Operation('principleSet', 'A set', PrincipleSetData::class)]
    public function show(PrincipleSet $principleSet): JsonResponse
    {
        return new JsonResponse(PrincipleSetData::of($principleSet));
    }

    #[Operation('editPrinciples', 'The set after them', PrincipleSetData::class, mayConflict: true)]
    public function edit(Request $request, PrincipleEdits $sent, PrincipleSet $principleSet): JsonResponse
    {
        $this->revise->edit($principleSet, $sent->base, SetEditReader::read($sent->edits), $this->viewer($request), $sent->id);

        return new JsonResponse(PrincipleSetData::of($principleSet));
    }

    #[Operation('importPrinciples', 'The set after it', PrinciplesReadData::class, mayConflict: true)]
    public function import(Request $request, PrinciplesText $sent, PrincipleSet $principleSet, ReadPrinciples $read): JsonResponse
    {
        $found = $read($sent->text, $principleSet->title, null);
        $this->revise->replace($principleSet, $sent->base, $found->set, $this->viewer($request), Message::of('version.imported'));

        return new JsonResponse(new PrinciplesReadData(PrincipleSetData::of($principleSet), $found->warnings));
    }

    #[Operation('principleVersions', 'The states it was in, the latest first', [VersionData::class])]
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

    #[Operation('restorePrinciples', 'The set as it was', PrincipleSetData::class, mayConflict: true)]
    public function restore(Request $request, Restoring $sent, PrincipleSet $principleSet): JsonResponse
    {
        $was = $this->revise->version($principleSet, $sent->number);
        $this->revise->replace($principleSet, $sent->base, $was, $this->viewer($request), Message::of('version.restored', number: $sent->number));

        return new JsonResponse(PrincipleSetData::of($principleSet));
    }

    #[Operation('principleFile', 'The set as a file')]
    public function written(PrincipleFileQuery $asked, PrincipleSet $principleSet): Response
    {
        $isCsv = $asked->as === FileKind::Csv;
        $joined = $asked->form === null ? null : JoinedForm::between($principleSet->id, $asked->form);
        $set = $principleSet->set();
        $name = Str::slug($set->title) ?: 'principles';

        return new Response($isCsv ? PrincipleCsv::written($set) : PrincipleFile::written($set, $joined?->bites() ?? new Bites), 200, [
            'Content-Type' => ($isCsv ? 'text/csv' : 'application/json').'; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"$name.".($isCsv ? 'csv' : 'gorvan.json').'"',
        ]);
    }

    #[Operation('principleSetRemoval', 'What would go with it', RemovalData::class)]
    public function removal(PrincipleSet $principleSet, RemovePrinciples $remove): JsonResponse
    {
        return new JsonResponse(RemovalData::of($remove->would($principleSet)));
    }

    #[Operation('removePrincipleSet', 'Taken back', mayConflict: true)]
    public function destroy(PrincipleSet $principleSet, RemovePrinciples $remove): Response
    {
        $remove($principleSet);

        return response()->noContent();
    }

    #[Operation('bites', 'Where it bites in a form', BitesData::class)]
    public function bites(PrincipleSet $principleSet, Form $form): JsonResponse
    {
        return new JsonResponse(BitesData::of($principleSet, $form, JoinedForm::between($principleSet->id, $form->id)));
    }

    #[Operation('joinPrinciples', 'Where it bites after it', BitesData::class, mayConflict: true)]
    public function join(BiteChange $sent, PrincipleSet $principleSet, Form $form, JoinPrinciples $join): JsonResponse
    {
        return new JsonResponse(BitesData::of($principleSet, $form, $join($principleSet, $form, BiteEdit::read($sent->edit), $sent->base)));
    }

    #[Operation('shownIn', 'What principles the entries of a form show', [ShownPrincipleData::class])]
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
}
