<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/**
 * A step of a partner drill: how much pressure there is, and what is done.
 *
 * @phpstan-type Data array{id: string, title: string, text?: string}
 */
final readonly class PartnerStep implements Written
{
    public const KEYS = ['id', 'title', 'text'];

    /**
     * @param  string  $title  the pressure in a few words: "a hand's weight", "steady push"
     * @param  array<string, mixed>  $others
     */
    public function __construct(public string $id, public string $title, public ?string $text = null, public array $others = [])
    {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self($node->required('id')->text(Fields::SHORT), $node->required('title')->text(), $node->optional('text')?->text(Fields::LONG), $node->others(self::KEYS));
    }

    public function toData(): stdClass
    {
        return Fields::written(['id' => $this->id, 'title' => $this->title, 'text' => $this->text], $this->others);
    }
}
