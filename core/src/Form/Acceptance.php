<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** A finding that the teacher accepts, and why. It holds as long as what it was found in stays as it was. */
final readonly class Acceptance implements Written
{
    public const KEYS = ['code', 'entry', 'reason', 'grounds'];

    /**
     * @param  string|null  $entry  the entry it is about, null for the whole form
     * @param  string  $grounds  fingerprint of what was found, see {@see \Gorvan\Core\Form\Audit\Finding}
     * @param  array<string, mixed>  $others
     */
    public function __construct(public FindingCode $code, public ?string $entry, public string $reason, public string $grounds, public array $others = [])
    {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->required('code')->oneOf(FindingCode::class),
            $node->optional('entry')?->text(Fields::SHORT),
            $node->required('reason')->text(),
            $node->required('grounds')->text(40),
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written(['code' => $this->code->value, 'entry' => $this->entry, 'reason' => $this->reason, 'grounds' => $this->grounds], $this->others);
    }
}
