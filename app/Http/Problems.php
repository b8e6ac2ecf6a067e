<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\Refused;
use Gorvan\Core\Lesson\CutImpossible;
use Gorvan\Core\Reading\BadInput;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** How errors are told to the page: a sentence, and the place it is about. */
final class Problems
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([BadInput::class, CutImpossible::class, Refused::class]);
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*') || $request->expectsJson());
        $exceptions->render(static fn (BadInput $e): JsonResponse => self::told(422, self::sentence($e), $e->place, array_map(self::sentence(...), $e->problems)));
        $exceptions->render(static fn (CutImpossible $e): JsonResponse => self::told(422, ucfirst($e->getMessage()).'.'));
        $exceptions->render(static fn (Refused $e): JsonResponse => self::told($e->status, $e->getMessage(), $e->place));
        $exceptions->render(static fn (PostTooLargeException $e): JsonResponse => self::told(413, 'That is larger than 3 MB. A form has at most 600 entries; send one form at a time.'));
        $exceptions->render(static fn (NotFoundHttpException $e): JsonResponse => self::told(404, 'There is nothing here, or it belongs to another school.'));
        $exceptions->render(static fn (HttpExceptionInterface $e): ?JsonResponse => match ($e->getStatusCode()) {
            419 => self::told(419, 'The page has been open too long. Reload it and try again; what you typed is kept.'),
            429 => self::told(429, 'Too many attempts. Wait a minute and try again.'),
            default => null,
        });
    }

    /** @param  list<string>  $problems */
    private static function told(int $status, string $message, string $place = '', array $problems = []): JsonResponse
    {
        return new JsonResponse(['message' => $message, 'place' => $place, 'problems' => $problems], $status);
    }

    private static function sentence(BadInput $e): string
    {
        $line = $e->fileLine === null ? '' : "line $e->fileLine, ";

        return ucfirst($line.self::place($e->place).$e->reason).'.';
    }

    private static function place(string $place): string
    {
        return match (true) {
            $place === '' => '',
            ctype_digit($place) => "line $place: ",
            default => "$place: ",
        };
    }
}
