<?php

declare(strict_types=1);

namespace App\Classes\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Standing\Pods;

/** How many pods are asked for. */
final readonly class PodsQuery implements Sent
{
    public function __construct(
        #[Rules('min:'.Pods::USUAL, 'max:'.Pods::MOST)]
        public ?int $count = null,
    ) {
    }
}
