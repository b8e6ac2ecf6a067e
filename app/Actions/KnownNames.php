<?php

declare(strict_types=1);

namespace App\Actions;

use RuntimeException;

/** Names that are there already: is it the same person, or another? Nothing was changed. */
final class KnownNames extends RuntimeException
{
    /** @param  non-empty-list<array{name: string, students: list<array{id: string, name: string, groups: list<string>}>}>  $names */
    public function __construct(public readonly array $names)
    {
        parent::__construct('names that are known');
    }
}
