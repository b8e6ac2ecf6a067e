<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Change\FieldChange;
use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** A field that was one thing and is another, in words. */
#[OA\Schema]
final readonly class FieldChangeData
{
    public function __construct(
        #[OA\Property(ref: MessageData::class)]
        public Message $field,
        #[OA\Property(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(ref: MessageData::class)])]
        public Message|string $before,
        #[OA\Property(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(ref: MessageData::class)])]
        public Message|string $after,
    ) {
    }

    public static function of(FieldChange $change): self
    {
        return new self(Message::of("field.$change->field"), FieldChange::words($change->before), FieldChange::words($change->after));
    }
}
