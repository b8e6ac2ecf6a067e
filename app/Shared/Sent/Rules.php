<?php

declare(strict_types=1);

namespace App\Shared\Sent;

use Attribute;

/**
 * What a value has to be besides its type, as rules of the framework. `max:{limits.students}` reads a limit of
 * config/gorvan.php; `prohibits:{path}minutes` names another value of the same object, wherever that lies.
 */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Rules
{
    /** @var list<string> */
    public array $rules;

    public function __construct(string ...$rules)
    {
        $this->rules = array_values($rules);
    }
}
