<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;

/** What a format cannot carry of a form, one by one. */
final readonly class LossesData
{
    /**
     * @param  list<Message>  $csv
     * @param  list<Message>  $list
     */
    public function __construct(
        public array $csv,
        public array $list,
    ) {
    }
}
