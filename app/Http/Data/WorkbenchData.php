<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;

/** The lessons as they are, as they would be in the size that is tried, and without any pin or bar of a hand. */
final readonly class WorkbenchData
{
    /** @param  Message|null  $pace  how fast the course goes in the size that is tried; null of no course */
    public function __construct(
        public SizeData $size,
        public float $minutesPerLoad,
        public ?Message $pace,
        public CutData $kept,
        public CutData $tried,
        public CutData $free,
    ) {
    }
}
