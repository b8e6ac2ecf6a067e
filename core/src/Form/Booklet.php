<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** The number an entry carries in the school's own booklet, and its page. */
final readonly class Booklet implements Written
{
    public const KEYS = ['number', 'page'];

    /** @param  array<string, mixed>  $others  keys this version does not know, kept for writing out again */
    public function __construct(public ?string $number, public ?int $page, public array $others = [])
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self($node->optional('number')?->text(40), $node->optional('page')?->whole(0, 9999), $node->others(self::KEYS));
    }

    public function toData(): stdClass
    {
        return Fields::written(['number' => $this->number, 'page' => $this->page], $this->others);
    }
}
