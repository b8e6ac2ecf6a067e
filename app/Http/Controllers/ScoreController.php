<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Refused;
use App\Actions\ReviseForm;
use App\Http\Data\DifferenceData;
use App\Http\Data\EditedData;
use App\Http\Data\ScoreData;
use App\Http\Data\VersionData;
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Reads;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\FormVersion;
use App\Models\User;
use App\Words;
use Gorvan\Core\Form\Edit\FormEditReader;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The form editor: the score as it stands, changes to it, and the states it was in. */
final class ScoreController extends Controller
{
    public function __construct(private readonly ReviseForm $revise, private readonly CurrentSchool $school)
    {
    }

    #[Reads('/api/forms/{form}/score', 'score', 'The whole score, audited', ScoreData::class)]
    public function show(Form $form): JsonResponse
    {
        return new JsonResponse(ScoreData::saved($form));
    }

    #[Makes('/api/forms/{form}/edits', 'editForm', 'The score after them', EditedData::class, takes: ['base' => 'integer', 'edits' => ['any'], 'id?' => 'string'], mayConflict: true)]
    public function edit(Request $request, Form $form): JsonResponse
    {
        // Read by core from the text itself, as a form file is, so that `{}` and `[]` stay apart.
        $given = JsonNode::parse($request->getContent());
        $edits = (new FormEditReader)->read($given->required('edits'));
        try {
            $moved = $this->revise->edit($form, $given->required('base')->whole(0, self::MOST_INTEGER), $edits, $this->viewer($request), $given->optional('id')?->text(26));
        } catch (BadInput $e) {
            throw self::atItsField($e);
        }

        return new JsonResponse(EditedData::saved($form, $moved));
    }

    #[Reads('/api/forms/{form}/versions', 'versions', 'The states it was in, the latest first', [VersionData::class])]
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

    #[Reads('/api/forms/{form}/difference', 'difference', 'What is different between two of them', DifferenceData::class, query: ['from!' => 'integer', 'to!' => 'integer'])]
    public function difference(Request $request, Form $form): JsonResponse
    {
        $given = $request->validate(['from' => ['required', 'integer', 'min:0', 'max:'.self::MOST_INTEGER], 'to' => ['required', 'integer', 'min:0', 'max:'.self::MOST_INTEGER]]);

        return new JsonResponse(DifferenceData::between($this->revise->version($form, (int) $given['from']), $this->revise->version($form, (int) $given['to'])));
    }

    #[Makes('/api/forms/{form}/restore', 'restoreForm', 'The score as it was', EditedData::class, takes: ['base' => 'integer', 'number' => 'integer'], mayConflict: true, once: true)]
    public function restore(Request $request, Form $form): JsonResponse
    {
        $given = $request->validate(['base' => ['required', 'integer', 'min:0', 'max:'.self::MOST_INTEGER], 'number' => ['required', 'integer', 'min:0', 'max:'.self::MOST_INTEGER]]);
        $was = $this->revise->version($form, (int) $given['number']);
        $moved = $this->revise->replace($form, (int) $given['base'], static fn (CoreForm $now): CoreForm => $was->with(['lessons' => $now->lessons]), $this->viewer($request), Message::of('version.restored', number: (int) $given['number']));

        return new JsonResponse(EditedData::saved($form, $moved));
    }

    #[Makes('/api/forms/{form}/take-back', 'takeBackEdit', 'The score without it', EditedData::class, takes: ['version' => 'integer'], mayConflict: true)]
    public function takeBack(Request $request, Form $form): JsonResponse
    {
        $given = $request->validate(['version' => ['required', 'integer', 'min:1', 'max:'.self::MOST_INTEGER]]);
        $moved = $this->revise->takeBack($form, (int) $given['version'], $this->viewer($request));

        return new JsonResponse(EditedData::saved($form, $moved));
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
