<?php

declare(strict_types=1);

namespace App\Forms\Requests;

use App\Shared\Sent\Sent;
use Gorvan\Core\Form\Time\Pace;

/** Of which passage breaths are asked for, and at which pace. */
final readonly class BeatsQuery implements Sent
{
    public function __construct(
        public ?int $from = null,
        public ?int $to = null,
        public ?Pace $pace = null,
    ) {
    }
}
