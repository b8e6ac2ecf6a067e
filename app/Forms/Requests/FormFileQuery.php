<?php

declare(strict_types=1);

namespace App\Forms\Requests;

use App\Shared\Sent\Sent;
use Gorvan\Core\Form\File\Export;

/** As what a form is written. */
final readonly class FormFileQuery implements Sent
{
    public function __construct(
        public ?Export $as = null,
    ) {
    }
}
