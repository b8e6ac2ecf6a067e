<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** Another way of counting the form, and the count it then has. */
final readonly class NumberingScheme implements Written
{
    public const KEYS = ['name', 'announced'];

    /** @param  array<string, mixed>  $others */
    public function __construct(public string $name, public ?int $announced = null, public array $others = [])
    {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self($node->required('name')->text(Fields::SHORT), $node->optional('announced')?->whole(0, 9999), $node->others(self::KEYS));
    }

    public function toData(): stdClass
    {
        return Fields::written(['name' => $this->name, 'announced' => $this->announced], $this->others);
    }
}
