<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * Someone in a class who is in no group of it; the id is made on the device and becomes a student's.
 *
 * @phpstan-type Data array{id: string, name: string, first_time?: bool}
 */
final readonly class Guest implements Written
{
    public const KEYS = ['id', 'name', 'first_time'];

    /** @param  array<string, mixed>  $others */
    public function __construct(public string $id, public string $name, public bool $isFirstTime = false, public array $others = [])
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->required('id')->text(Fields::SHORT),
            $node->required('name')->text(Fields::SHORT),
            $node->optional('first_time')?->bool() ?? false,
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written(['id' => $this->id, 'name' => $this->name, 'first_time' => $this->isFirstTime ? true : null], $this->others);
    }
}
