<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;

/** What an import would make. */
final readonly class FormPreviewData
{
    /**
     * @param  list<KinshipData>  $inferred
     * @param  list<Message>  $warnings
     */
    public function __construct(
        public FormData $form,
        public array $inferred,
        public array $warnings,
        public int $lines,
        public AuditData $audit,
    ) {
    }
}
