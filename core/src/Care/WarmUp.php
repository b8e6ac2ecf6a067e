<?php

declare(strict_types=1);

namespace Gorvan\Core\Care;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * One thing a school warms up with, opens, closes or rests with. Immutable.
 *
 * @phpstan-type Data array{id: string, title: string, kind: WarmUpKind, joints?: list<Joint>, minutes: float, note?: string, cautions?: list<Caution>}
 */
final readonly class WarmUp implements Written
{
    public const KEYS = ['id', 'title', 'kind', 'joints', 'minutes', 'note', 'cautions'];

    public const MOST_MINUTES = 60;

    /**
     * @param  list<Joint>  $joints  that it reaches
     * @param  float  $minutes  above 0
     * @param  string|null  $note  how it is done
     * @param  list<Caution>  $cautions  who does it otherwise, or leaves it out
     * @param  array<string, mixed>  $others
     */
    public function __construct(
        public string $id,
        public string $title,
        public WarmUpKind $kind,
        public float $minutes,
        public array $joints = [],
        public ?string $note = null,
        public array $cautions = [],
        public array $others = [],
    ) {
    }

    /** @throws BadInput with the JSON path */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->required('id')->text(Fields::SHORT),
            $node->required('title')->text(),
            $node->required('kind')->oneOf(WarmUpKind::class),
            $node->required('minutes')->number(0.25, self::MOST_MINUTES),
            array_values(array_unique(Fields::each($node->optional('joints'), static fn (JsonNode $one): Joint => $one->oneOf(Joint::class)), SORT_REGULAR)),
            $node->optional('note')?->text(Fields::LONG),
            Fields::each($node->optional('cautions'), Caution::read(...)),
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written([
            'id' => $this->id,
            'title' => $this->title,
            'kind' => $this->kind->value,
            'joints' => array_map(static fn (Joint $joint): string => $joint->value, $this->joints),
            'minutes' => $this->minutes,
            'note' => $this->note,
            'cautions' => array_map(static fn (Caution $caution): stdClass => $caution->toData(), $this->cautions),
        ], $this->others);
    }

    /** Whole quarters of a minute, rounded up. */
    public function quarters(): int
    {
        return (int) ceil(round($this->minutes * 4, 9));
    }
}
