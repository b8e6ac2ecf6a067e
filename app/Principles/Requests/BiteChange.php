<?php

declare(strict_types=1);

namespace App\Principles\Requests;

use App\Shared\Description\AsData;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Principle\Edit\BiteEdit;
use Gorvan\Core\Reading\JsonNode;

/** What is changed of where a set bites in a form. */
final readonly class BiteChange implements Sent
{
    public function __construct(
        #[AsData(BiteEdit::class)]
        public JsonNode $edit,
        #[Rules('min:0', 'max:2147483647')]
        public ?int $base = null,
    ) {
    }
}
