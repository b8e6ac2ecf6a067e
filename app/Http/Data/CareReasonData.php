<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** Why a student does something otherwise, or is asked. Private. */
#[OA\Schema]
final readonly class CareReasonData
{
    /**
     * @param  list<string>  $strains  that ask of it, where nothing says what to do
     */
    public function __construct(
        #[OA\Property]
        public string $box,
        #[OA\Property]
        public ?int $position,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $do,
        #[OA\Property]
        public string $for,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $strains,
        #[OA\Property]
        public ?string $variant,
        #[OA\Property]
        public ?string $text,
    ) {
    }
}
