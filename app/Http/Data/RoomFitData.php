<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Floor\Room;
use Gorvan\Core\Floor\RoomFit;
use Gorvan\Core\Form\Track\FloorTrack;
use OpenApi\Attributes as OA;

/** How a form fits a room; metres. */
#[OA\Schema]
final readonly class RoomFitData
{
    /**
     * @param  array{float, float}  $start  from the left wall and from the back wall
     * @param  array{float, float}  $needs  width and depth
     * @param  list<int>  $out
     * @param  list<FootingData>  $spots  the middle of the class at the start, and where each entry ends
     * @param  list<FootingData>  $stands  where each student stands at the start
     * @param  array{float, float}  $block  width and depth that the class takes up, standing
     */
    public function __construct(
        #[OA\Property]
        public bool $fits,
        #[OA\Property]
        public int $facing,
        #[OA\Property]
        public int $ranks,
        #[OA\Property]
        public int $files,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $start,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $needs,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $out,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FootingData::class))]
        public array $spots,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FootingData::class))]
        public array $stands,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $block,
        #[OA\Property(description: 'students that the whole form fits, at most as many as were asked for')]
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
