<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** Another name of the same movement: another script, language, or family. */
final readonly class TitleAlias
{
    /** @param  array<string, mixed>  $others  keys this version does not know, kept for writing out again */
    public function __construct(public string $text, public ?string $lang = null, public array $others = [])
    {
    }
}
