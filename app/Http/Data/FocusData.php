<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\PlannedFocus;
use OpenApi\Attributes as OA;

/** A principle a meeting works on, and why. */
#[OA\Schema]
final readonly class FocusData
{
    /**
     * @param  float|null  $mean  what the group would recall of it by the next meeting without working on it
     */
    public function __construct(
        #[OA\Property]
        public string $principle,
        #[OA\Property]
        public bool $isNew,
        #[OA\Property]
        public ?float $mean,
        #[OA\Property]
        public ?float $bite,
        #[OA\Property(ref: MessageData::class, nullable: true)]
        public ?Message $why,
    ) {
    }

    public static function of(PlannedFocus $focus): self
    {
        return new self($focus->principle, $focus->isNew, $focus->mean, $focus->bite, $focus->why);
    }
}
