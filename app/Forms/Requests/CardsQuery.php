<?php

declare(strict_types=1);

namespace App\Forms\Requests;

use App\Shared\Sent\Sent;
use Gorvan\Core\Cue\CueView;

/** Of which passage cue cards are asked for, and how the teacher stands. */
final readonly class CardsQuery implements Sent
{
    public function __construct(
        public ?int $from = null,
        public ?int $to = null,
        public ?CueView $view = null,
    ) {
    }
}
