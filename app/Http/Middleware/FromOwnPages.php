<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Refused;
use Closure;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Signing in, out and founding: there is no session yet that a token could be of, so the browser says where a request comes
 * from (Fetch Metadata and the Origin header), and another site's is refused.
 */
final class FromOwnPages
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $site = $request->headers->get('Sec-Fetch-Site');
        $origin = $request->headers->get('Origin') ?? self::originOf($request->headers->get('Referer'));
        if (($site !== null && $site !== 'same-origin') || ($origin !== null && $origin !== $request->getSchemeAndHttpHost()) || ($site === null && $origin === null)) {
            throw Refused::forbidden(Message::of('session.elsewhere'));
        }

        return $next($request);
    }

    private static function originOf(?string $address): ?string
    {
        return $address === null ? null : (string) preg_replace('~^(https?://[^/]*).*$~', '$1', $address);
    }
}
