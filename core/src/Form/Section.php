<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** A named stretch of a form: positions, from 1, both ends inside. */
final readonly class Section
{
    /** @param  array<string, mixed>  $others  keys this version does not know, kept for writing out again */
    public function __construct(public string $title, public int $first, public int $last, public array $others = [])
    {
    }
}
