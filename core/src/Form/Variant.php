<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Care\Caution;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * Another way of doing an entry, with its reason; it may only have been shown and not described.
 *
 * @phpstan-type Data array{title: string, reason?: VariantReason, depth?: Depth, shown_only?: bool, text?: string, cautions?: list<Caution>}
 */
final readonly class Variant implements Mirrored, Written
{
    public const KEYS = ['title', 'reason', 'depth', 'shown_only', 'text', 'cautions'];

    /**
     * @param  list<Caution>  $cautions  that belong to this way of doing it alone
     * @param  array<string, mixed>  $others
     */
    public function __construct(
        public string $title,
        public ?VariantReason $reason = null,
        public ?Depth $depth = null,
        public bool $isShownOnly = false,
        public ?string $text = null,
        public array $cautions = [],
        public array $others = [],
    ) {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->required('title')->text(),
            $node->optional('reason')?->oneOf(VariantReason::class),
            $node->optional('depth')?->oneOf(Depth::class),
            $node->optional('shown_only')?->bool() ?? false,
            $node->optional('text')?->text(Fields::LONG),
            Fields::each($node->optional('cautions'), Caution::read(...)),
            $node->others(self::KEYS),
        );
    }

    public function mirrored(): static
    {
        return new self($this->title, $this->reason, $this->depth, $this->isShownOnly, Tokens::swappedIn($this->text), array_map(Tokens::inCaution(...), $this->cautions), $this->others);
    }

    public function toData(): stdClass
    {
        return Fields::written([
            'title' => $this->title,
            'reason' => $this->reason?->value,
            'depth' => $this->depth?->value,
            'shown_only' => $this->isShownOnly ? true : null,
            'text' => $this->text,
            'cautions' => array_map(static fn (Caution $caution): stdClass => $caution->toData(), $this->cautions),
        ], $this->others);
    }
}
