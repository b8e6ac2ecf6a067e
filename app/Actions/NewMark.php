<?php

declare(strict_types=1);

namespace App\Actions;

use DateTimeImmutable;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Support;

/** A mark as it was made by the client; `id` is a ULID. Of a principle, the entry says where it was seen; a step of a drill stands alone. */
final readonly class NewMark
{
    public function __construct(
        public string $id,
        public string $student,
        public ?string $entry,
        public Support|Keeping $level,
        public DateTimeImmutable $at,
        public ?Side $side = null,
        public ?string $principle = null,
        public ?string $step = null,
    ) {
    }
}
