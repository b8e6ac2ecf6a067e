<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** What a file would make of a form that is there. */
#[OA\Schema]
final readonly class ImportPreviewData
{
    /**
     * @param  list<KinshipData>  $inferred
     * @param  list<Message>  $warnings
     */
    public function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public FormData $form,
        #[OA\Property]
        public DifferenceData $difference,
        #[OA\Property(type: 'array', items: new OA\Items(ref: KinshipData::class))]
        public array $inferred,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MessageData::class))]
        public array $warnings,
        #[OA\Property]
        public int $lines,
        /** Whether the ids may be the same by chance, so that it must be said whether like ids are the same entries. */
        #[OA\Property]
        public bool $doubtful,
    ) {
    }
}
