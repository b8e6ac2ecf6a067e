<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Form\CutPin;

/** What is asked of one join. */
final readonly class SentJoin implements Sent
{
    /** @param  bool|null  $isCut  whether a lesson ends there, of lessons that are the form's own */
    public function __construct(
        #[Rules('min:1', 'distinct')]
        public int $after,
        public ?CutPin $pin,
        public ?bool $isCut = null,
    ) {
    }
}
