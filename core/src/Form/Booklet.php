<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** The number an entry carries in the school's own booklet, and its page. */
final readonly class Booklet
{
    /** @param  array<string, mixed>  $others  keys this version does not know, kept for writing out again */
    public function __construct(public ?string $number, public ?int $page, public array $others = [])
    {
    }
}
