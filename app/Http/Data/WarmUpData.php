<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Care\Joint;
use Gorvan\Core\Care\WarmUp;
use Gorvan\Core\Care\WarmUpKind;

/** One thing a school warms up, opens, closes or rests with. */
final readonly class WarmUpData
{
    /**
     * @param  list<Joint>  $joints
     * @param  list<CautionData>  $cautions
     */
    public function __construct(
        public string $id,
        public string $title,
        public WarmUpKind $kind,
        public array $joints,
        public float $minutes,
        public ?string $note,
        public array $cautions,
    ) {
    }

    public static function of(WarmUp $one): self
    {
        return new self(
            $one->id,
            $one->title,
            $one->kind,
            $one->joints,
            $one->minutes,
            $one->note,
            array_map(static fn (Caution $caution): CautionData => new CautionData($caution->for, $caution->do, $caution->text), $one->cautions),
        );
    }
}
