<?php

declare(strict_types=1);

namespace App\Actions;

use DateTimeImmutable;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Record\Support;

/** A mark as it was made by the client; `id` is a ULID. */
final readonly class NewMark
{
    public function __construct(
        public string $id,
        public string $student,
        public string $entry,
        public Support $support,
        public DateTimeImmutable $at,
        public ?Side $side = null,
    ) {
    }
}
