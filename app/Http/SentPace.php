<?php

declare(strict_types=1);

namespace App\Http;

use Gorvan\Core\Term\SaidPace;

/** A pace as a page sends it: movements an evening, or minutes a simple movement takes; neither for what was learned or is usual. */
final class SentPace
{
    /** How it is described. */
    public const SHAPE = ['movements?' => 'number|null', 'minutes?' => 'number|null'];

    public const RULES = [
        'pace' => ['sometimes', 'nullable', 'array:movements,minutes'],
        'pace.movements' => ['nullable', 'numeric', 'min:'.SaidPace::LEAST_MOVEMENTS, 'max:'.SaidPace::MOST_MOVEMENTS, 'prohibits:pace.minutes'],
        'pace.minutes' => ['nullable', 'numeric', 'min:'.SaidPace::LEAST_MINUTES, 'max:'.SaidPace::MOST_MINUTES],
    ];

    /** @param  array<string, mixed>|null  $sent */
    public static function of(?array $sent): ?SaidPace
    {
        return match (true) {
            isset($sent['movements']) => SaidPace::movements((float) $sent['movements']),
            isset($sent['minutes']) => SaidPace::minutes((float) $sent['minutes']),
            default => null,
        };
    }
}
