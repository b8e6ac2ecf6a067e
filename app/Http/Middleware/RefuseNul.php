<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Refused;
use Closure;
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
                throw Refused::because('There is a NUL character in what was sent, which no text may hold. If it came from a file, save that as UTF-8 and try again.', (string) $place);
            }
        }

        return $next($request);
    }
}
