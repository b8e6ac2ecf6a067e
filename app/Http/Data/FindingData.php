<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Audit\Finding;
use Gorvan\Core\Form\Audit\Severity;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/** Something that does not add up in a form. */
final readonly class FindingData
{
    public function __construct(
        public FindingCode $code,
        public ?int $position,
        public Severity $severity,
        public Message $says,
        public string $grounds,
        public ?MendData $mend,
        public ?string $reason,
    ) {
    }

    /** @param  string|null  $reason  why it is accepted, null while it is open */
    public static function of(Finding $finding, Form $form, ?string $reason = null): self
    {
        return new self(
            $finding->code,
            $finding->position,
            $finding->severity,
            $finding->says,
            $finding->grounds($form),
            $finding->mend === null ? null : new MendData($finding->mend->says, $finding->mend->edits),
            $reason,
        );
    }
}
