<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Refused;
use Closure;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** How much one request says, before anything looks at what it says. */
final class BoundRequest
{
    /** More items than any list of a request has: a form has at most 600 entries, a class at most 2,000 marks. */
    public const MOST_ITEMS = 2000;

    public const MOST_VALUES = 40_000;

    private const MOST_DEPTH = 24;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $values = 0;
        self::look($request->all(), '', 0, $values);

        return $next($request);
    }

    /** @param  array<mixed>  $all */
    private static function look(array $all, string $place, int $depth, int &$values): void
    {
        if (count($all) > self::MOST_ITEMS) {
            throw Refused::because(Message::of('http.many', most: self::MOST_ITEMS, count: count($all)), $place);
        }
        $values += count($all);
        if ($values > self::MOST_VALUES || $depth > self::MOST_DEPTH) {
            throw Refused::because(Message::of('http.much'), $place);
        }
        foreach ($all as $key => $value) {
            if (is_array($value)) {
                self::look($value, $place === '' ? (string) $key : "$place.$key", $depth + 1, $values);
            }
        }
    }
}
