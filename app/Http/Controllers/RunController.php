<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Data\BeatData;
use App\Http\Data\CueCardData;
use App\Http\Data\FloorData;
use App\Http\Data\StretchTimes;
use App\Http\Data\TimesData;
use App\Models\Form;
use Gorvan\Core\Cue\CueCard;
use Gorvan\Core\Cue\CueView;
use Gorvan\Core\Floor\FloorTrack;
use Gorvan\Core\Floor\FrontFacing;
use Gorvan\Core\Floor\Room;
use Gorvan\Core\Form\BreathBeat;
use Gorvan\Core\Form\BreathScript;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Form\Pace;
use Gorvan\Core\Form\RunThrough;
use Gorvan\Core\Form\RunTime;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** A form run through: the floor it takes, the time, the breaths, and the cues. */
final class RunController extends Controller
{
    #[OA\Get(path: '/api/forms/{form}/floor', operationId: 'floor', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'width', schema: new OA\Schema(type: 'number')), new OA\QueryParameter(name: 'depth', schema: new OA\Schema(type: 'number')), new OA\QueryParameter(name: 'students', schema: new OA\Schema(type: 'integer')), new OA\QueryParameter(name: 'step', schema: new OA\Schema(type: 'number')), new OA\QueryParameter(name: 'mirrored', schema: new OA\Schema(type: 'integer', enum: [0, 1])), new OA\QueryParameter(name: 'front', schema: new OA\Schema(type: 'integer', enum: [0, 1]))], responses: [new OA\Response(response: 200, description: 'Its path in a room', content: new OA\JsonContent(ref: FloorData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function floor(Request $request, Form $form): JsonResponse
    {
        $given = $request->validate([
            'width' => ['nullable', 'numeric'],
            'depth' => ['nullable', 'numeric'],
            'students' => ['nullable', 'integer'],
            'step' => ['nullable', 'numeric'],
            'mirrored' => ['nullable', 'boolean'],
            'front' => ['nullable', 'boolean'],
        ]);
        $room = new Room((float) ($given['width'] ?? 10.0), (float) ($given['depth'] ?? 8.0), (int) ($given['students'] ?? 1), (float) ($given['step'] ?? Room::STEP));
        $score = $form->score()->form;
        $track = ($given['front'] ?? false) ? FrontFacing::of($score)->track() : FloorTrack::of($score);

        return new JsonResponse(FloorData::of($score, ($given['mirrored'] ?? false) ? $track->mirrored() : $track, $room));
    }

    #[OA\Get(path: '/api/forms/{form}/times', operationId: 'times', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'How long it takes at each pace', content: new OA\JsonContent(ref: TimesData::class))])]
    public function times(Form $form): JsonResponse
    {
        $score = $form->score()->form;
        $run = new RunThrough($score);

        return new JsonResponse(new TimesData(
            StretchTimes::of($run->whole()),
            array_map(StretchTimes::of(...), $run->bySection()),
            $score->breathSeconds ?? RunTime::BREATH_SECONDS,
            $score->breathSeconds === null,
            Pace::Showing->factor($score),
        ));
    }

    #[OA\Get(path: '/api/forms/{form}/beats', operationId: 'beats', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'from', schema: new OA\Schema(type: 'integer')), new OA\QueryParameter(name: 'to', schema: new OA\Schema(type: 'integer')), new OA\QueryParameter(name: 'pace', schema: new OA\Schema(type: 'string', enum: ['class', 'half', 'showing']))], responses: [new OA\Response(response: 200, description: 'The passage breath by breath', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: BeatData::class))), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function beats(Request $request, Form $form): JsonResponse
    {
        $given = $request->validate(['pace' => ['nullable', Rule::enum(Pace::class)]]);
        $score = $form->score()->form;
        [$from, $to] = self::passage($request, $score);
        $beats = (new BreathScript)->of($score, $from, $to, Pace::from($given['pace'] ?? Pace::ClassPace->value));

        return new JsonResponse(array_map(static fn (BreathBeat $beat): BeatData => new BeatData($beat->position, $beat->breath->value, $beat->seconds, $beat->cue === null ? null : CueCard::turned($beat->cue, CueView::Plain), $beat->time), $beats));
    }

    #[OA\Get(path: '/api/forms/{form}/cards', operationId: 'cards', parameters: [new OA\PathParameter(name: 'form', schema: new OA\Schema(type: 'string')), new OA\QueryParameter(name: 'from', schema: new OA\Schema(type: 'integer')), new OA\QueryParameter(name: 'to', schema: new OA\Schema(type: 'integer')), new OA\QueryParameter(name: 'view', schema: new OA\Schema(type: 'string', enum: ['facing', 'same', 'behind', 'plain']))], responses: [new OA\Response(response: 200, description: 'Cue cards of a passage', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: CueCardData::class))), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function cards(Request $request, Form $form): JsonResponse
    {
        $given = $request->validate(['view' => ['nullable', Rule::enum(CueView::class)]]);
        $score = $form->score()->form;
        [$from, $to] = self::passage($request, $score);
        $view = CueView::from($given['view'] ?? CueView::FacingClass->value);

        return new JsonResponse(array_map(static fn (int $position): CueCardData => CueCardData::of($position, CueCard::of($score->at($position), $view)), range($from, $to)));
    }

    /** @return array{int, int} positions from and to */
    private static function passage(Request $request, CoreForm $score): array
    {
        $most = $score->count();
        $from = (int) ($request->validate(['from' => ['nullable', 'integer', 'min:1', "max:$most"]])['from'] ?? 1);
        $to = (int) ($request->validate(['to' => ['nullable', 'integer', "min:$from", "max:$most"]])['to'] ?? $most);

        return [$from, $to];
    }
}
