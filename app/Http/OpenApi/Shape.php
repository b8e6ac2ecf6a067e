<?php

declare(strict_types=1);

namespace App\Http\OpenApi;

use OpenApi\Attributes as OA;

/**
 * A short way to say what JSON a request carries, for the attributes of controllers: `'name' => 'string'`, `'room?'` for
 * what may be left out, `'string|null'`, `'a,b'` in `enum:a,b`, `['string']` for a list, `[['after' => 'integer']]` for a
 * list of objects, `['*' => 'boolean']` for a map, and the name of a class for its schema.
 */
final class Shape
{
    /** @param  array<array-key, mixed>  $members */
    public static function body(array $members): OA\RequestBody
    {
        return new OA\RequestBody(required: true, content: new OA\JsonContent(...self::object($members)));
    }

    /** @param  class-string|array{class-string}|null  $of  a list where it stands in brackets */
    public static function answer(int $status, string $says, string|array|null $of): OA\Response
    {
        return match (true) {
            $of === null => new OA\Response(response: $status, description: $says),
            is_array($of) => new OA\Response(response: $status, description: $says, content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: $of[0]))),
            default => new OA\Response(response: $status, description: $says, content: new OA\JsonContent(ref: $of)),
        };
    }

    /** @return list<OA\Response> what may be wrong */
    public static function problems(int ...$statuses): array
    {
        return array_map(static fn (int $status): OA\Response => new OA\Response(response: $status, ref: '#/components/responses/Problem'), array_values($statuses));
    }

    /**
     * @param  array<string, string>  $query  type by name
     * @param  list<string>  $headers
     * @return list<OA\Parameter> those in the path, those of the query, and headers
     */
    public static function parameters(string $path, array $query, array $headers = []): array
    {
        preg_match_all('/\{(\w+)\}/', $path, $found);

        return [
            ...array_map(static fn (string $name): OA\Parameter => new OA\PathParameter(name: $name, schema: new OA\Schema(type: 'string')), $found[1]),
            ...array_map(static fn (string $name, string $type): OA\Parameter => new OA\QueryParameter(name: rtrim($name, '!'), required: str_ends_with($name, '!'), schema: new OA\Schema(...self::type($type))), array_keys($query), $query),
            ...array_map(static fn (string $name): OA\Parameter => new OA\HeaderParameter(name: $name, required: true, schema: new OA\Schema(type: 'string')), $headers),
        ];
    }

    /**
     * @param  array<array-key, mixed>  $members
     * @return array<string, mixed> arguments of a schema
     */
    private static function object(array $members): array
    {
        $required = $properties = [];
        foreach ($members as $name => $type) {
            $name = (string) $name;
            if (! str_ends_with($name, '?')) {
                $required[] = $name;
            }
            $properties[] = new OA\Property(...['property' => rtrim($name, '?'), ...self::type($type)]);
        }

        return array_filter(['type' => 'object', 'required' => $required === [] ? null : $required, 'properties' => $properties]);
    }

    /** @return array<string, mixed> */
    private static function type(mixed $type): array
    {
        if (is_array($type) && array_key_exists('*', $type)) {
            return ['type' => 'object', 'additionalProperties' => new OA\AdditionalProperties(...self::type($type['*']))];
        }
        if (is_array($type)) {
            return array_is_list($type) && count($type) === 1 ? ['type' => 'array', 'items' => new OA\Items(...self::type($type[0]))] : self::object($type);
        }
        $type = (string) $type;
        $isNullable = str_ends_with($type, '|null');
        $plain = $isNullable ? substr($type, 0, -5) : $type;
        $is = match (true) {
            class_exists($plain) => ['ref' => $plain],
            str_starts_with($plain, 'enum:') => ['type' => 'string', 'enum' => explode(',', substr($plain, 5))],
            $plain === 'any' => ['type' => 'object', 'additionalProperties' => true],
            default => ['type' => $plain],
        };

        return $isNullable ? [...$is, 'nullable' => true] : $is;
    }
}
