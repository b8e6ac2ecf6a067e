<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\PersonalLinks;
use App\Models\LinkDevice;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets in whoever carries the key of a personal link: they see one student's own, and nothing else of the school. */
final class OpenPersonalLink
{
    public const COOKIE = 'gorvan_mine';

    /** The header that only our own page sends: another site's form cannot. */
    public const HEADER = 'X-Gorvan-Mine';

    /** How often it is noted that a device is in use, seconds. */
    private const NOTED = 3600;

    public function __construct(private readonly PersonalLinks $links)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->cookies->get(self::COOKIE);
        abort_if(! $request->isMethodSafe() && ! $request->hasHeader(self::HEADER), 401);
        $done = is_string($key) ? $this->links->inSchoolOf($key, fn (string $secret): Response => $this->inside($secret, $request, $next), UseSchool::isDone(...)) : null;

        return $done ?? abort(401);
    }

    /** @param  Closure(Request): Response  $next */
    private function inside(string $secret, Request $request, Closure $next): Response
    {
        $found = $this->links->device($secret) ?? abort(401);
        if ($found->device->last_at->diffInSeconds(now()) > self::NOTED) {
            LinkDevice::whereKey($found->device->id)->update(['last_at' => now()]);
        }
        $request->attributes->set('student', $found->student);

        return $next($request);
    }
}
