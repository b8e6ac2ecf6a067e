<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Contracts\Session\Session;
use Illuminate\Session\Middleware\StartSession;
use Symfony\Component\HttpFoundation\Response;

/** A session is kept, and its cookie sent, once somebody is signed in; whoever only looks leaves nothing behind. */
final class KeepSession extends StartSession
{
    protected function saveSession($request): void
    {
        if (self::isSignedIn($request->session())) {
            parent::saveSession($request);
        }
    }

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        if (self::isSignedIn($session)) {
            parent::addCookieToResponse($response, $session);
        } else {
            $response->headers->removeCookie('XSRF-TOKEN'); // the token of no session that will be known again
        }
    }

    private static function isSignedIn(Session $session): bool
    {
        foreach (array_keys($session->all()) as $key) {
            if (str_starts_with((string) $key, 'login_')) {
                return true;
            }
        }

        return false;
    }
}
