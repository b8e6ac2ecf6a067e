<?php

declare(strict_types=1);

namespace App\Forms\Requests;

use App\Shared\Description\AsData;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Form\Edit\FormEditReader;
use Gorvan\Core\Reading\JsonNode;

/** Edits of a score. */
final readonly class FormEdits implements Sent
{
    public function __construct(
        #[Rules('min:0', 'max:2147483647')]
        public int $base,
        #[AsData(FormEditReader::class, isList: true)]
        public JsonNode $edits,
        #[Rules('max:26')]
        public ?string $id = null,
    ) {
    }
}
