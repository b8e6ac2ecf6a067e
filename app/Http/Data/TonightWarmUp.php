<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Care\WarmUp;

/** One thing a meeting warms up with. */
final readonly class TonightWarmUp
{
    public function __construct(
        public string $id,
        public string $title,
        public float $minutes,
        public ?string $note,
    ) {
    }

    public static function of(WarmUp $one): self
    {
        return new self($one->id, $one->title, $one->minutes, $one->note);
    }
}
