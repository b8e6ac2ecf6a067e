<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * How much an entry shows a principle, 1 to 3, and what to look at there.
 *
 * @phpstan-type Data array{principle: string, entry: string, strength: int, note?: string|null}
 */
final readonly class Bite implements Written
{
    public const KEYS = ['principle', 'entry', 'strength', 'note'];

    public const STRONGEST = 3;

    /** @param  array<string, mixed>  $others */
    public function __construct(public string $principle, public string $entry, public int $strength, public ?string $note = null, public array $others = [])
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->required('principle')->text(Fields::SHORT),
            $node->required('entry')->text(Fields::SHORT),
            $node->required('strength')->whole(1, self::STRONGEST),
            $node->optional('note')?->text(Fields::LONG),
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written(['principle' => $this->principle, 'entry' => $this->entry, 'strength' => $this->strength, 'note' => $this->note], $this->others);
    }

    public function is(string $principle, string $entry): bool
    {
        return $this->principle === $principle && $this->entry === $entry;
    }
}
