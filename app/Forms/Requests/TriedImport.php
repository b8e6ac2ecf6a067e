<?php

declare(strict_types=1);

namespace App\Forms\Requests;

use App\Forms\LikeIds;
use App\Shared\Sent\Each;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;

/** A file that is read over a form. */
final readonly class TriedImport implements Sent
{
    /**
     * @param  list<string>  $declined
     * @param  LikeIds|null  $ids  whether like ids are the same entries, where that may be chance
     */
    public function __construct(
        #[Rules('required', 'max:3000000')]
        public string $text,
        #[Rules('max:600')]
        #[Each('max:120')]
        public array $declined = [],
        public ?LikeIds $ids = null,
    ) {
    }
}
