<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** The number of an entry in another way of counting the same form. */
final readonly class SchemeNumber implements Written
{
    public const KEYS = ['scheme', 'number'];

    /** @param  array<string, mixed>  $others */
    public function __construct(public string $scheme, public string $number, public array $others = [])
    {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self($node->required('scheme')->text(Fields::SHORT), $node->required('number')->text(40), $node->others(self::KEYS));
    }

    public function toData(): stdClass
    {
        return Fields::written(['scheme' => $this->scheme, 'number' => $this->number], $this->others);
    }
}
