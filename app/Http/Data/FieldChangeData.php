<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\FieldChange;
use OpenApi\Attributes as OA;

/** A field that was one thing and is another, in words. */
#[OA\Schema]
final readonly class FieldChangeData
{
    public function __construct(
        #[OA\Property]
        public string $field,
        #[OA\Property]
        public string $before,
        #[OA\Property]
        public string $after,
    ) {
    }

    public static function of(FieldChange $change): self
    {
        return new self(str_replace('_', ' ', $change->field), FieldChange::words($change->before), FieldChange::words($change->after));
    }
}
