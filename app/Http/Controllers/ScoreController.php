<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Refused;
use App\Actions\ReviseForm;
use App\Forms\Requests\DifferenceQuery;
use App\Forms\Requests\EditToTakeBack;
use App\Forms\Requests\FormEdits;
use App\Http\Data\DifferenceData;
use App\Http\Data\EditedData;
use App\Http\Data\ScoreData;
use App\Http\Data\VersionData;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\FormVersion;
use App\Models\User;
use App\Shared\Description\Operation;
use App\Shared\Requests\Restoring;
use App\Words;
use Gorvan\Core\Form\Edit\FormEditReader;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The form editor: the score as it stands, changes to it, and the states it was in. */
final class ScoreController extends Controller
{
    public function __construct(private readonly ReviseForm $revise, private readonly CurrentSchool $school)
    {
    }

    #[Operation('score', 'The whole score, audited', ScoreData::class)]
    public function show(Form $form): JsonResponse
    {
        return new JsonResponse(ScoreData::saved($form));
    }

    #[Operation('editForm', 'The score after them', EditedData::class, mayConflict: true)]
    public function edit(Request $request, FormEdits $sent, Form $form): JsonResponse
    {
        $edits = (new FormEditReader)->read($sent->edits);
        try {
            $moved = $this->revise->edit($form, $sent->base, $edits, $this->viewer($request), $sent->id);
        } catch (BadInput $e) {
            throw self::atItsField($e);
        }

        return new JsonResponse(EditedData::saved($form, $moved));
    }

    #[Operation('versions', 'The states it was in, the latest first', [VersionData::class])]
    public function versions(Request $request, Form $form): JsonResponse
    {
        $zone = $this->school->zone();
        $me = $this->viewer($request)->authorId();
        $names = User::where('school_id', $form->school_id)->pluck('name', 'id');

        return new JsonResponse($form->versions()->get(['id', 'school_id', 'form_id', 'number', 'made_by', 'made_at', 'what'])->map(static fn (FormVersion $version): VersionData => new VersionData(
            $version->number,
            $names[$version->made_by] ?? null,
            $version->made_at->setTimezone($zone)->toRfc3339String(),
            $version->changes(),
            $version->made_by === $me,
        ))->all());
    }

    #[Operation('difference', 'What is different between two of them', DifferenceData::class)]
    public function difference(DifferenceQuery $between, Form $form): JsonResponse
    {
        return new JsonResponse(DifferenceData::between($this->revise->version($form, $between->from), $this->revise->version($form, $between->to)));
    }

    #[Operation('restoreForm', 'The score as it was', EditedData::class, mayConflict: true)]
    public function restore(Request $request, Restoring $sent, Form $form): JsonResponse
    {
        $was = $this->revise->version($form, $sent->number);
        $moved = $this->revise->replace($form, $sent->base, static fn (CoreForm $now): CoreForm => $was->with(['lessons' => $now->lessons]), $this->viewer($request), Message::of('version.restored', number: $sent->number));

        return new JsonResponse(EditedData::saved($form, $moved));
    }

    #[Operation('takeBackEdit', 'The score without it', EditedData::class, mayConflict: true)]
    public function takeBack(Request $request, EditToTakeBack $sent, Form $form): JsonResponse
    {
        return new JsonResponse(EditedData::saved($form, $this->revise->takeBack($form, $sent->version, $this->viewer($request))));
    }

    /** A value that cannot be, told by the name of its field; the place names the entry and the field. */
    private static function atItsField(BadInput $e): Refused
    {
        if (preg_match('/\.([a-z_]+)(?:\[(\d+)\])?(?:\.([a-z_]+))?[^.]*$/', $e->place, $m) !== 1) {
            return Refused::because($e->reason, $e->place);
        }
        $name = static fn (string $field): Message|string => Words::has("field.$field") ? Message::of("field.$field") : str_replace('_', ' ', $field);
        $field = match (true) {
            ($m[2] ?? '') === '' => $name($m[1]),
            ($m[3] ?? '') === '' => Message::of('problem.field_nth', field: $name($m[1]), nth: (int) $m[2] + 1),
            default => Message::of('problem.field_nth_part', field: $name($m[1]), nth: (int) $m[2] + 1, part: $m[3]),
        };

        return Refused::because(Message::of('problem.at_field', field: $field, says: $e->reason), $e->place);
    }
}
