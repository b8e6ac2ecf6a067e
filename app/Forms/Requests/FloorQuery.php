<?php

declare(strict_types=1);

namespace App\Forms\Requests;

use App\Shared\Sent\Sent;

/** The room a form is walked in, and how it is looked at. */
final readonly class FloorQuery implements Sent
{
    public function __construct(
        public ?float $width = null,
        public ?float $depth = null,
        public ?int $students = null,
        public ?float $step = null,
        public ?bool $mirrored = null,
        public ?bool $front = null,
    ) {
    }
}
