<?php

declare(strict_types=1);

namespace App\Principles\Requests;

use App\Shared\FileKind;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** As what a set is written. */
final readonly class PrincipleFileQuery implements Sent
{
    public function __construct(
        public ?FileKind $as = null,
        #[Rules('uuid')]
        public ?string $form = null,
    ) {
    }
}
