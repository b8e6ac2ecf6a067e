<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Principle\ChosenFocus;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\Written;
use stdClass;

/** A principle that a meeting is meant to work on, and why. */
final readonly class PlannedFocus implements Written
{
    public const KEYS = ['principle', 'new', 'mean', 'bite', 'why'];

    /**
     * @param  float|null  $mean  what the group would recall of it by the next meeting without working on it, 0..1
     * @param  float|null  $bite  how much the meeting's entries show it, 0.5..1
     * @param  array<string, mixed>  $others
     */
    public function __construct(public string $principle, public bool $isNew, public ?float $mean, public ?float $bite, public ?Message $why, public array $others = [])
    {
    }

    public static function of(ChosenFocus $chosen, Message $why): self
    {
        return new self($chosen->principle, $chosen->isNew, $chosen->mean, $chosen->bite, $why);
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        $why = $node->optional('why');

        return new self(
            $node->required('principle')->text(Fields::SHORT),
            $node->optional('new')?->bool() ?? false,
            $node->optional('mean')?->number(0, 1),
            $node->optional('bite')?->number(0, 1),
            $why === null ? null : Message::read($why),
            $node->others(self::KEYS),
        );
    }

    public function toData(): stdClass
    {
        return Fields::written([
            'principle' => $this->principle,
            'new' => $this->isNew ?: null,
            'mean' => $this->mean === null ? null : round($this->mean, 4),
            'bite' => $this->bite === null ? null : round($this->bite, 4),
            'why' => $this->why?->toData(),
        ], $this->others);
    }
}
