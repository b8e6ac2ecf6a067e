<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Audit\Finding;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;
use OpenApi\Attributes as OA;

/** Something that does not add up in a form. */
#[OA\Schema]
final readonly class FindingData
{
    public function __construct(
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public ?int $position,
        #[OA\Property]
        public string $severity,
        #[OA\Property(ref: MessageData::class)]
        public Message $says,
        #[OA\Property]
        public string $grounds,
        #[OA\Property]
        public ?MendData $mend,
        #[OA\Property]
        public ?string $reason,
    ) {
    }

    /** @param  string|null  $reason  why it is accepted, null while it is open */
    public static function of(Finding $finding, Form $form, ?string $reason = null): self
    {
        return new self(
            $finding->code->value,
            $finding->position,
            $finding->severity->value,
            $finding->says,
            $finding->grounds($form),
            $finding->mend === null ? null : new MendData($finding->mend->says, $finding->mend->edits),
            $reason,
        );
    }
}
