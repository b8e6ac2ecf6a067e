<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use App\Http\Middleware\AnswerOnce;

/** What the operations of the API have in common; `STATUS` is what they answer when all is well. */
trait ShortOperation
{
    /**
     * @param  class-string|array{class-string}|null  $answers  a list where it stands in brackets
     * @param  array<array-key, mixed>  $takes  the body, see {@see Shape}
     * @param  array<string, string>  $query
     * @param  bool|null  $once  what makes something (201) or puts much in the place of much carries an id made by the page, see
     *                           {@see AnswerOnce}; false where the answer holds a secret, which is not kept, and a later one
     *                           takes the place of an earlier
     */
    public function __construct(string $path, string $id, string $says, string|array|null $answers = null, array $takes = [], array $query = [], int $status = self::STATUS, bool $mayConflict = false, ?bool $once = null)
    {
        parent::__construct(
            path: $path,
            operationId: $id,
            requestBody: $takes === [] ? null : Shape::body($takes),
            parameters: Shape::parameters($path, $query, $once ?? $status === 201 ? [AnswerOnce::HEADER] : []),
            responses: [Shape::answer($status, $says, $answers), ...Shape::problems(...($mayConflict ? [409, 422] : [422]))],
        );
    }
}
