<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Data\BeatData;
use App\Http\Data\CueCardData;
use App\Http\Data\FloorData;
use App\Http\Data\StretchTimes;
use App\Http\Data\TimesData;
use App\Http\OpenApi\Reads;
use App\Models\Form;
use Gorvan\Core\Cue\CueCard;
use Gorvan\Core\Cue\CueView;
use Gorvan\Core\Floor\FrontFacing;
use Gorvan\Core\Floor\Room;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Form\Time\BreathBeat;
use Gorvan\Core\Form\Time\BreathScript;
use Gorvan\Core\Form\Time\Pace;
use Gorvan\Core\Form\Time\RunThrough;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Form\Track\FloorTrack;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** A form run through: the floor it takes, the time, the breaths, and the cues. */
final class RunController extends Controller
{
    #[Reads('/api/forms/{form}/floor', 'floor', 'The path and how it fits a room', FloorData::class, query: ['width' => 'number', 'depth' => 'number', 'students' => 'integer', 'step' => 'number', 'mirrored' => 'integer', 'front' => 'integer'])]
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
        $score = $form->placed()->form;
        $track = ($given['front'] ?? false) ? FrontFacing::of($score)->track() : FloorTrack::of($score);

        return new JsonResponse(FloorData::of($score, ($given['mirrored'] ?? false) ? $track->mirrored() : $track, $room));
    }

    #[Reads('/api/forms/{form}/times', 'times', 'How long it takes at each pace', TimesData::class)]
    public function times(Form $form): JsonResponse
    {
        $score = $form->placed()->form;
        $run = new RunThrough($score);

        return new JsonResponse(new TimesData(
            StretchTimes::of($run->whole()),
            array_map(StretchTimes::of(...), $run->bySection()),
            $score->breathSeconds ?? RunTime::BREATH_SECONDS,
            $score->breathSeconds === null,
            Pace::Showing->factor($score),
        ));
    }

    #[Reads('/api/forms/{form}/beats', 'beats', 'The breaths of a passage', [BeatData::class], query: ['from' => 'integer', 'to' => 'integer', 'pace' => 'enum:class,half,showing'])]
    public function beats(Request $request, Form $form): JsonResponse
    {
        $given = $request->validate(['pace' => ['nullable', Rule::enum(Pace::class)]]);
        $score = $form->placed()->form;
        [$from, $to] = self::passage($request, $score);
        $beats = (new BreathScript)->of($score, $from, $to, Pace::from($given['pace'] ?? Pace::ClassPace->value));

        return new JsonResponse(array_map(static fn (BreathBeat $beat): BeatData => new BeatData($beat->position, $beat->breath->value, $beat->seconds, $beat->cue, $beat->time), $beats));
    }

    #[Reads('/api/forms/{form}/cards', 'cards', 'Cue cards of a passage', [CueCardData::class], query: ['from' => 'integer', 'to' => 'integer', 'view' => 'enum:facing,same,behind,plain'])]
    public function cards(Request $request, Form $form): JsonResponse
    {
        $given = $request->validate(['view' => ['nullable', Rule::enum(CueView::class)]]);
        $score = $form->placed()->form;
        [$from, $to] = self::passage($request, $score);
        $view = CueView::from($given['view'] ?? CueView::FacingClass->value);

        return new JsonResponse(CueCardData::each(CueCard::each($score, range($from, $to), $view)));
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
