<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Written;
use stdClass;

/** The same movement in another form, by that form's title and, where it is known, the entry's id there. */
final readonly class SameIn implements Written
{
    public const KEYS = ['form', 'entry'];

    /** @param  array<string, mixed>  $others */
    public function __construct(public string $form, public ?string $entry = null, public array $others = [])
    {
    }

    /** @throws BadInput */
    public static function read(JsonNode $node): self
    {
        return new self($node->required('form')->text(), $node->optional('entry')?->text(Fields::SHORT), $node->others(self::KEYS));
    }

    public function toData(): stdClass
    {
        return Fields::written(['form' => $this->form, 'entry' => $this->entry], $this->others);
    }
}
