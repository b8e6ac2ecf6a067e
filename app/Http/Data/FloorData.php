<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Floor\FrontFacing;
use Gorvan\Core\Floor\Room;
use Gorvan\Core\Floor\RoomFit;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Track\FloorTrack;

/** The path of a form in a room. */
final readonly class FloorData
{
    /**
     * @param  list<FootingData>  $footings  the start, and where each entry ends
     * @param  float  $turned  degrees the closing is turned from the opening, clockwise positive
     * @param  list<int>  $unknown  entries that do not say both turn and travel
     * @param  list<int>  $joins  entries whose turn is left out when all stay faced to the front
     */
    public function __construct(
        public array $footings,
        public float $turned,
        public array $unknown,
        public array $joins,
        public RoomFitData $fit,
    ) {
    }

    /** @param  FloorTrack  $track  of the form as it is walked: mirrored, or without its turns */
    public static function of(Form $form, FloorTrack $track, Room $room): self
    {
        return new self(
            array_map(FootingData::of(...), $track->footings),
            $track->end()->turned(),
            FloorTrack::of($form)->unknown,
            FrontFacing::of($form)->joins,
            RoomFitData::of(RoomFit::best($track, $room), $track, $room),
        );
    }
}
