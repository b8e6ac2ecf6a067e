<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Refused;
use App\Models\CurrentSchool;
use App\Models\GivenAnswer;
use App\Models\Viewer;
use Closure;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\Request;
use Illuminate\Http\Response as PlainResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/**
 * A request that makes something carries an id made by the page; the same request sent again, by a double click, a lost
 * network or a reload, is answered as it was the first time and makes nothing more. What is made and what was answered are
 * kept together or not at all; two at once wait for each other.
 */
final class AnswerOnce
{
    public const HEADER = 'Idempotency-Key';

    private const KEPT_DAYS = 1;

    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $id = $request->header(self::HEADER);
        if ($id === null) {
            return $next($request);
        }
        if (! Str::isUuid($id)) {
            throw Refused::because(Message::of('http.once'));
        }
        $viewer = $request->user();
        abort_unless($viewer instanceof Viewer, 401);
        $asked = hash('sha256', $request->method()."\n".$request->path()."\n".$request->getContent());
        DB::beginTransaction();
        try {
            DB::select('select pg_advisory_xact_lock(hashtextextended(?, 0))', [$this->school->id().$id]);
            $given = GivenAnswer::find($id);
            $response = $given === null ? $next($request) : self::again($given, $viewer->authorId(), $asked);
        } catch (\Throwable $e) {
            DB::rollBack();
            throw $e;
        }
        if (! $response->isSuccessful()) {
            DB::rollBack(); // nothing was made, and what was wrong may be put right and sent again

            return $response;
        }
        if ($given === null) {
            GivenAnswer::where('at', '<', now()->subDays(self::KEPT_DAYS))->delete();
            GivenAnswer::create(['id' => $id, 'user_id' => $viewer->authorId(), 'asked' => $asked, 'status' => $response->getStatusCode(), 'body' => (string) $response->getContent(), 'at' => now()]);
        }
        DB::commit();

        return $response;
    }

    private static function again(GivenAnswer $given, string $author, string $asked): Response
    {
        if ($given->user_id !== $author || $given->asked !== $asked) {
            throw Refused::because(Message::of('http.once_other'));
        }

        return new PlainResponse($given->body, $given->status, ['Content-Type' => 'application/json']);
    }
}
