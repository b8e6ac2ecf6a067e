<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\CurrentSchool;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Everything a request reads or writes belongs to the school of the person who sent it. */
final class UseSchool
{
    public function __construct(private readonly CurrentSchool $current)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        abort_unless($user instanceof User, 401);
        $this->current->enter($user->school);

        try {
            return $next($request);
        } finally {
            $this->current->leave();
        }
    }
}
