<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * What often goes wrong in an entry, and what is right instead.
 *
 * @phpstan-type Data array{wrong: string, right: string}
 */
final readonly class CommonError implements Mirrored, Written
{
    public const KEYS = ['wrong', 'right'];

    /** @param  array<string, mixed>  $others */
    public function __construct(public string $wrong, public string $right, public array $others = [])
    {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self($node->required('wrong')->text(Fields::LONG), $node->required('right')->text(Fields::LONG), $node->others(self::KEYS));
    }

    public function mirrored(): static
    {
        return new self(Tokens::swapped($this->wrong), Tokens::swapped($this->right), $this->others);
    }

    public function toData(): stdClass
    {
        return Fields::written(['wrong' => $this->wrong, 'right' => $this->right], $this->others);
    }
}
