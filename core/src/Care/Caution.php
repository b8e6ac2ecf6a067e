<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * For whom an entry, or one variant of it, needs care, and what they do instead.
 *
 * @phpstan-type Data array{for: Consideration, do: Adaptation, text?: string}
 */
final readonly class Caution implements Written
{
    public const KEYS = ['for', 'do', 'text'];

    /** @param  array<string, mixed>  $others */
    public function __construct(public Consideration $for, public Adaptation $do, public ?string $text = null, public array $others = [])
    {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->required('for')->oneOf(Consideration::class),
            $node->required('do')->oneOf(Adaptation::class),
            $node->optional('text')?->text(Fields::LONG),
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written(['for' => $this->for->value, 'do' => $this->do->value, 'text' => $this->text], $this->others);
    }
}
