<?php

declare(strict_types=1);

namespace App\Shared\Sent;

use Attribute;

/** What each value of a list or a map has to be besides its type, as {@see Rules} says it. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Each
{
    /** @var list<string> */
    public array $rules;

    public function __construct(string ...$rules)
    {
        $this->rules = array_values($rules);
    }
}
