<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\CurrentSchool;
use App\Models\Viewer;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Everything a request reads or writes belongs to the school of whoever sent it. */
final class UseSchool
{
    public function __construct(private readonly CurrentSchool $current)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $viewer = $request->user();
        abort_unless($viewer instanceof Viewer, 401);
        // What one person did on a device is not sent as another's, who signed in there meanwhile.
        abort_if($request->hasHeader('X-Gorvan-Person') && $request->header('X-Gorvan-Person') !== $viewer->authorId(), 401);
        $this->current->enter($viewer->homeSchool());

        try {
            return $next($request);
        } finally {
            $this->current->leave();
        }
    }
}
