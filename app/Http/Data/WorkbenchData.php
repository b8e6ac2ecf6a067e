<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** The lessons as they are, as they would be in the size that is tried, and without any pin or bar of a hand. */
#[OA\Schema]
final readonly class WorkbenchData
{
    public function __construct(
        #[OA\Property]
        public SizeData $size,
        #[OA\Property]
        public float $minutesPerLoad,
        #[OA\Property(ref: MessageData::class, nullable: true, description: 'how fast the course goes in the size that is tried; null of no course')]
        public ?Message $pace,
        #[OA\Property]
        public CutData $kept,
        #[OA\Property]
        public CutData $tried,
        #[OA\Property]
        public CutData $free,
    ) {
    }
}
