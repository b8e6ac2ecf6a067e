<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** A student who could be looked at, and what they may still know. */
final readonly class Watchable
{
    /**
     * @param  int|null  $attendedSinceMark  meetings they came to since they were last marked; null for never marked
     * @param  array<string, float>  $recalls  by entry, 0 to 1; one they never met is not among them
     * @param  int  $away  classes that were held since they were last there; 0 for somebody who was at the last one
     * @param  list<string>  $missed  entries
     * @param  list<string>  $weak  entries that are a hole, or that they are behind in
     */
    public function __construct(public string $id, public ?int $attendedSinceMark, public array $recalls, public int $away = 0, public array $missed = [], public array $weak = [])
    {
    }
}
