<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Change\FieldChange;
use Gorvan\Core\Reading\Message;

/** A field that was one thing and is another, in words. */
final readonly class FieldChangeData
{
    public function __construct(
        public Message $field,
        public Message|string $before,
        public Message|string $after,
    ) {
    }

    public static function of(FieldChange $change): self
    {
        return new self(Message::of("field.$change->field"), FieldChange::words($change->before), FieldChange::words($change->after));
    }
}
