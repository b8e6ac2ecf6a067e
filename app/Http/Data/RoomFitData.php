<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Floor\RoomFit;
use OpenApi\Attributes as OA;

/** How a form fits a room; metres. */
#[OA\Schema]
final readonly class RoomFitData
{
    /**
     * @param  array{float, float}  $start  from the left wall and from the back wall
     * @param  array{float, float}  $needs  width and depth
     * @param  list<int>  $out
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
    ) {
    }

    public static function of(RoomFit $fit): self
    {
        return new self($fit->fits(), $fit->facing, $fit->ranks, $fit->files, $fit->start, $fit->needs, $fit->out);
    }
}
