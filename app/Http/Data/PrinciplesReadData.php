<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;

/** A set that was made of a file, and what the file says that is not used. */
final readonly class PrinciplesReadData
{
    /**
     * @param  list<Message>  $warnings
     */
    public function __construct(
        public PrincipleSetData $set,
        public array $warnings,
    ) {
    }
}
