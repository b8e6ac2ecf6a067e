<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\KnownNames;
use App\Actions\Refused;
use App\Http\Data\ProblemData;
use App\Words;
use ArrayObject;
use Gorvan\Core\Lesson\CutImpossible;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Message;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** How errors are told to the page: a code with what it is said with, and the place it is about. */
final class Problems
{
    /** SQLSTATEs of what another request removed, or made, between a look and a write: it points at nothing, or is there already. */
    private const MEANWHILE = ['23503', '23505'];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->report(static function (Throwable $e): bool {
            FaultLine::write($e);

            return false; // it is one line, and not the framework's many
        });
        $exceptions->dontReport([BadInput::class, CutImpossible::class, Refused::class, KnownNames::class]);
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*', 'mine/api', 'mine/api/*') || $request->expectsJson());
        $exceptions->render(static fn (Throwable $e, Request $request): Response|JsonResponse|null => DatabaseAway::is($e) ? self::away($request) : null);
        $exceptions->render(static fn (QueryException $e): ?JsonResponse => in_array($e->getCode(), self::MEANWHILE, true) ? self::told(409, Message::of('http.meanwhile')) : null);
        $exceptions->render(static fn (BadInput $e): JsonResponse => self::told(422, Words::placed($e), $e->place, array_map(Words::placed(...), $e->problems)));
        $exceptions->render(static fn (CutImpossible $e): JsonResponse => self::told(422, $e->reason));
        $exceptions->render(static fn (Refused $e): JsonResponse => self::told($e->status, $e->reason, $e->place));
        $exceptions->render(static fn (KnownNames $e): JsonResponse => self::told(409, Message::of('students.known', names: array_column($e->names, 'name'), count: count($e->names)), 'students', known: $e->names));
        $exceptions->render(static fn (ValidationException $e): JsonResponse => self::invalid($e));
        $exceptions->render(static fn (PostTooLargeException $e): JsonResponse => self::told(413, Message::of('http.large')));
        $exceptions->render(static fn (AuthenticationException $e, Request $request): ?JsonResponse => $request->is('api/*', 'mine/api', 'mine/api/*') ? self::told(401, Message::of('http.signed_out')) : null);
        $exceptions->render(static fn (HttpExceptionInterface $e, Request $request): ?JsonResponse => $request->is('api/*', 'mine/api', 'mine/api/*') ? match ($e->getStatusCode()) {
            401 => self::told(401, Message::of('http.signed_out')),
            403 => self::told(403, Message::of('refused.may_not')),
            404 => self::told(404, Message::of('http.gone')),
            405 => self::told(405, Message::of('http.method')),
            // The token of nobody's session: whoever it was is signed out.
            419 => Auth::guard('web')->check() ? self::told(419, Message::of('http.stale')) : self::told(401, Message::of('http.signed_out')),
            429 => self::told(429, Message::of('http.often')),
            503 => self::told(503, Message::of('http.closed')),
            default => null,
        } : null);
        $exceptions->respond(static fn ($response, Throwable $e, Request $request) => $request->is('api/*', 'mine/api', 'mine/api/*') && $response->getStatusCode() === 500
            ? self::told(500, Message::of('http.broken')) : $response);
    }

    /**
     * @param  list<Message>  $problems  all that is wrong, where it is more than one thing
     * @param  list<mixed>  $known  names that are there already, and whose they are
     * @param  array<string, list<Message>>  $fields  what is wrong with each field
     */
    private static function told(int $status, Message $reason, string $place = '', array $problems = [], array $known = [], array $fields = []): JsonResponse
    {
        return new JsonResponse(new ProblemData($reason->code, new ArrayObject((array) $reason->toData()['with']), $place, $problems, $known, new ArrayObject($fields)), $status);
    }

    /** The database does not answer: nothing was done, and whoever asks again in a moment may be answered. */
    private static function away(Request $request): Response|JsonResponse
    {
        $answer = $request->is('api/*', 'mine/api', 'mine/api/*') || $request->expectsJson() ? self::told(503, Message::of('http.closed')) : new Response(Words::asSentence(Message::of('http.closed')), 503, ['Content-Type' => 'text/plain; charset=utf-8']);
        $answer->headers->set('Retry-After', '2');

        return $answer;
    }

    private static function invalid(ValidationException $e): JsonResponse
    {
        $fields = [];
        foreach ($e->validator->failed() as $field => $rules) {
            foreach ($rules as $rule => $parameters) {
                $fields[(string) $field][] = self::rule((string) $field, class_basename((string) $rule), $parameters, data_get($e->validator->getData(), $field));
            }
        }
        $place = (string) array_key_first($fields);

        return self::told(422, $fields[$place][0] ?? Message::of('invalid.other', field: ''), $place, [], [], $fields);
    }

    private static function rule(string $field, string $rule, mixed $parameters, mixed $value): Message
    {
        $code = 'invalid.'.Str::snake($rule);
        $code = match (true) {
            $rule === 'Max' && is_string($value) => 'invalid.max_text',
            $rule === 'Min' && is_string($value) && ! is_numeric($value) => 'invalid.min_text',
            $rule === 'Max' && is_array($value) => 'invalid.max_items',
            Words::has($code) => $code,
            default => 'invalid.other',
        };
        $name = strtr((string) preg_replace('/\.\d+/', '', $field), '.', '_'); // closures.0.from is any closure's first day

        return Message::of(
            $code,
            field: Words::has("attribute.$name") ? Message::of("attribute.$name") : str_replace('_', ' ', $name),
            limit: is_array($parameters) && is_scalar($parameters[0] ?? null) ? (string) $parameters[0] : '',
        );
    }
}
