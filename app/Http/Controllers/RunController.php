<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Forms\Requests\BeatsQuery;
use App\Forms\Requests\CardsQuery;
use App\Forms\Requests\FloorQuery;
use App\Http\Data\BeatData;
use App\Http\Data\CueCardData;
use App\Http\Data\FloorData;
use App\Http\Data\StretchTimes;
use App\Http\Data\TimesData;
use App\Models\Form;
use App\Shared\Description\Operation;
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
use Illuminate\Support\Facades\Validator;

/** A form run through: the floor it takes, the time, the breaths, and the cues. */
final class RunController extends Controller
{
    #[Operation('floor', 'The path and how it fits a room', FloorData::class)]
    public function floor(FloorQuery $asked, Form $form): JsonResponse
    {
        $room = new Room($asked->width ?? 10.0, $asked->depth ?? 8.0, $asked->students ?? 1, $asked->step ?? Room::STEP);
        $score = $form->placed()->form;
        $track = $asked->front === true ? FrontFacing::of($score)->track() : FloorTrack::of($score);

        return new JsonResponse(FloorData::of($score, $asked->mirrored === true ? $track->mirrored() : $track, $room));
    }

    #[Operation('times', 'How long it takes at each pace', TimesData::class)]
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

    #[Operation('beats', 'The breaths of a passage', [BeatData::class])]
    public function beats(BeatsQuery $asked, Form $form): JsonResponse
    {
        $score = $form->placed()->form;
        [$from, $to] = self::passage($asked->from, $asked->to, $score);
        $beats = (new BreathScript)->of($score, $from, $to, $asked->pace ?? Pace::ClassPace);

        return new JsonResponse(array_map(static fn (BreathBeat $beat): BeatData => new BeatData($beat->position, $beat->breath, $beat->seconds, $beat->cue, $beat->time), $beats));
    }

    #[Operation('cards', 'Cue cards of a passage', [CueCardData::class])]
    public function cards(CardsQuery $asked, Form $form): JsonResponse
    {
        $score = $form->placed()->form;
        [$from, $to] = self::passage($asked->from, $asked->to, $score);
        $view = $asked->view ?? CueView::FacingClass;

        return new JsonResponse(CueCardData::each(CueCard::each($score, range($from, $to), $view)));
    }

    /** @return array{int, int} positions from and to */
    private static function passage(?int $from, ?int $to, CoreForm $score): array
    {
        $most = $score->count();
        Validator::validate(['from' => $from, 'to' => $to], ['from' => ['nullable', 'integer', 'min:1', "max:$most"], 'to' => ['nullable', 'integer', 'min:'.($from ?? 1), "max:$most"]]);

        return [$from ?? 1, $to ?? $most];
    }
}
