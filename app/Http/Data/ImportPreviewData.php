<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;

/** What a file would make of a form that is there. */
final readonly class ImportPreviewData
{
    /**
     * @param  list<KinshipData>  $inferred
     * @param  list<Message>  $warnings
     */
    public function __construct(
        public int $version,
        public FormData $form,
        public DifferenceData $difference,
        public array $inferred,
        public array $warnings,
        public int $lines,
        /** Whether the ids may be the same by chance, so that it must be said whether like ids are the same entries. */
        public bool $doubtful,
    ) {
    }
}
