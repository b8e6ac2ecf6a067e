<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** What an import would make. */
#[OA\Schema]
final readonly class FormPreviewData
{
    /**
     * @param  list<KinshipData>  $inferred
     * @param  list<Message>  $warnings
     */
    public function __construct(
        #[OA\Property]
        public FormData $form,
        #[OA\Property(type: 'array', items: new OA\Items(ref: KinshipData::class))]
        public array $inferred,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $warnings,
        #[OA\Property]
        public int $lines,
        #[OA\Property]
        public AuditData $audit,
    ) {
    }
}
