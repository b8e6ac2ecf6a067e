<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** Another name of the same movement: another script, language, or family. */
final readonly class TitleAlias implements Written
{
    public const KEYS = ['text', 'lang'];

    /** @param  array<string, mixed>  $others  keys this version does not know, kept for writing out again */
    public function __construct(public string $text, public ?string $lang = null, public array $others = [])
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput */
    public static function read(JsonNode $node): self
    {
        return new self($node->required('text')->text(), $node->optional('lang')?->text(35), $node->others(self::KEYS));
    }

    public function toData(): stdClass
    {
        return Fields::written(['text' => $this->text, 'lang' => $this->lang], $this->others);
    }
}
