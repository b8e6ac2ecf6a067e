<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** Another name of the same movement: another script, language, or family. */
final readonly class TitleAlias
{
    public function __construct(public string $text, public ?string $lang = null)
    {
    }
}
