<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Joint;
use Gorvan\Core\Care\WarmUp;
use OpenApi\Attributes as OA;

/** One thing a school warms up, opens, closes or rests with. */
#[OA\Schema]
final readonly class WarmUpData
{
    /**
     * @param  list<string>  $joints
     * @param  list<CautionData>  $cautions
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $kind,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $joints,
        #[OA\Property]
        public float $minutes,
        #[OA\Property]
        public ?string $note,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CautionData::class))]
        public array $cautions,
    ) {
    }

    public static function of(WarmUp $one): self
    {
        return new self(
            $one->id,
            $one->title,
            $one->kind->value,
            array_map(static fn (Joint $joint): string => $joint->value, $one->joints),
            $one->minutes,
            $one->note,
            array_map(static fn (Caution $caution): CautionData => new CautionData($caution->for->value, $caution->do->value, $caution->text), $one->cautions),
        );
    }
}
