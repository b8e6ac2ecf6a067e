<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What an import would make. */
#[OA\Schema]
final readonly class FormPreviewData
{
    /**
     * @param  list<KinshipData>  $inferred
     * @param  list<string>  $warnings
     */
    public function __construct(
        #[OA\Property]
        public FormData $form,
        #[OA\Property(type: 'array', items: new OA\Items(ref: KinshipData::class))]
        public array $inferred,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $warnings,
        #[OA\Property]
        public int $lines,
        #[OA\Property]
        public AuditData $audit,
    ) {
    }
}
