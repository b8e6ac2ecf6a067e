<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Entry;

/** A movement that was found, and where. */
final readonly class FoundMovement
{
    public function __construct(
        public string $formId,
        public string $form,
        public int $position,
        public ?int $number,
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
