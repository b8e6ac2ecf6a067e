<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Floor\Room;
use Gorvan\Core\Floor\RoomFit;
use Gorvan\Core\Form\Track\FloorTrack;

/** How a form fits a room; metres. */
final readonly class RoomFitData
{
    /**
     * @param  array{float, float}  $start  from the left wall and from the back wall
     * @param  array{float, float}  $needs  width and depth
     * @param  list<int>  $out
     * @param  list<FootingData>  $spots  the middle of the class at the start, and where each entry ends
     * @param  list<FootingData>  $stands  where each student stands at the start
     * @param  array{float, float}  $block  width and depth that the class takes up, standing
     * @param  int  $students  students that the whole form fits, at most as many as were asked for
     */
    public function __construct(
        public bool $fits,
        public int $facing,
        public int $ranks,
        public int $files,
        public array $start,
        public array $needs,
        public array $out,
        public array $spots,
        public array $stands,
        public array $block,
        public int $students,
    ) {
    }

    public static function of(RoomFit $fit, FloorTrack $track, Room $room): self
    {
        return new self(
            $fit->fits(),
            $fit->facing,
            $fit->ranks,
            $fit->files,
            $fit->start,
            $fit->needs,
            $fit->out,
            array_map(FootingData::of(...), $fit->spots($track, $room)),
            array_map(FootingData::of(...), $fit->stands($room)),
            $fit->block($room),
            $fit->fits() ? $room->students : RoomFit::most($track, $room),
        );
    }
}
