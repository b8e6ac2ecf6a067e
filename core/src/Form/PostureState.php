<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** The state of a part of the body that a principle defines: the chest closed, the hips open. */
final readonly class PostureState implements Written
{
    public const KEYS = ['part', 'state', 'principle'];

    /** @param  array<string, mixed>  $others */
    public function __construct(public string $part, public string $state, public ?string $principle = null, public array $others = [])
    {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->required('part')->text(Fields::SHORT),
            $node->required('state')->text(Fields::SHORT),
            $node->optional('principle')?->text(),
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written(['part' => $this->part, 'state' => $this->state, 'principle' => $this->principle], $this->others);
    }
}
