<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** A student who could be looked at, and what they may still know. */
final readonly class Watchable
{
    /**
     * @param  int|null  $attendedSinceMark  meetings they came to since they were last marked; null for never marked
     * @param  array<string, float>  $recalls  by entry, 0 to 1; one they never met is not among them
     */
    public function __construct(public string $id, public ?int $attendedSinceMark, public array $recalls)
    {
    }
}
