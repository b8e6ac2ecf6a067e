<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** A sub-step of an entry: how it is breathed, where the weight is at its end, where the eyes and hands are. */
final readonly class Phase implements Mirrored, Written
{
    public const KEYS = ['title', 'breath', 'weight', 'gaze', 'hand', 'cue', 'states'];

    /**
     * @param  list<PostureState>  $states
     * @param  array<string, mixed>  $others
     */
    public function __construct(
        public ?string $title = null,
        public ?Breath $breath = null,
        public ?WeightRange $weight = null,
        public ?string $gaze = null,
        public ?string $hand = null,
        public ?string $cue = null,
        public array $states = [],
        public array $others = [],
    ) {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self(
            $node->optional('title')?->text(),
            $node->optional('breath')?->oneOf(Breath::class),
            WeightRange::read($node->optional('weight')),
            $node->optional('gaze')?->text(),
            $node->optional('hand')?->text(),
            $node->optional('cue')?->text(Fields::LONG),
            Fields::each($node->optional('states'), PostureState::read(...)),
            $node->others(self::KEYS),
        );
    }

    public function mirrored(): static
    {
        return new self($this->title, $this->breath, $this->weight?->mirrored(), Tokens::swappedIn($this->gaze), Tokens::swappedIn($this->hand), Tokens::swappedIn($this->cue), $this->states, $this->others);
    }

    public function toData(): stdClass
    {
        return Fields::written([
            'title' => $this->title,
            'breath' => $this->breath?->value,
            'weight' => $this->weight?->toData(),
            'gaze' => $this->gaze,
            'hand' => $this->hand,
            'cue' => $this->cue,
            'states' => array_map(static fn (PostureState $state): stdClass => $state->toData(), $this->states),
        ], $this->others);
    }
}
