<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\CurrentSchool;
use App\Models\UnknownSchool;
use App\Models\Viewer;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Everything a request reads or writes belongs to the school of whoever sent it, and is one transaction: it is done whole,
 * or refused and nothing of it is done.
 */
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
        try {
            return $this->current->duringId($viewer->schoolId(), static fn (): Response => $next($request), self::isDone(...));
        } catch (UnknownSchool) {
            abort(401);
        }
    }

    /** Whether what a request did stays: not where it was answered with what is wrong. */
    public static function isDone(?Response $response): bool
    {
        return $response !== null && $response->getStatusCode() < 400;
    }
}
