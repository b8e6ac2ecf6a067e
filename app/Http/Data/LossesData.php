<?php

declare(strict_types=1);

namespace App\Http\Data;

use OpenApi\Attributes as OA;

/** What a format cannot carry of a form, a sentence each. */
#[OA\Schema]
final readonly class LossesData
{
    /**
     * @param  list<string>  $csv
     * @param  list<string>  $list
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $csv,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $list,
    ) {
    }
}
