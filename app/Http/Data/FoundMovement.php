<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Entry;
use OpenApi\Attributes as OA;

/** A movement that was found, and where. */
#[OA\Schema]
final readonly class FoundMovement
{
    public function __construct(
        #[OA\Property]
        public string $formId,
        #[OA\Property]
        public string $form,
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public ?int $number,
        #[OA\Property]
        public string $title,
    ) {
    }

    public static function of(Entry $entry): self
    {
        return new self(
            $entry->form_id,
            $entry->form->title,
            (int) $entry->position,
            is_int($entry->document->number ?? null) ? $entry->document->number : null,
            is_string($entry->document->title ?? null) ? $entry->document->title : $entry->key,
        );
    }
}
