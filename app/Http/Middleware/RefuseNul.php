<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Refused;
use Closure;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Symfony\Component\HttpFoundation\Response;

/** PostgreSQL keeps no NUL in a text, so one is refused in words before it gets there. */
final class RefuseNul
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach (Arr::dot($request->all()) as $place => $value) {
            if (is_string($value) && str_contains($value, "\0")) {
                throw Refused::because(Message::of('http.nul'), (string) $place);
            }
        }

        return $next($request);
    }
}
