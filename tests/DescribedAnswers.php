<?php

declare(strict_types=1);

namespace Tests;

use App\Shared\Description\ApiDescription;
use Illuminate\Routing\Route;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use stdClass;

/** Holds every JSON answer of the API against its description: no key more and none less, and each of its type. */
final class DescribedAnswers
{
    private const ID = 'https://gorvan.test/api.json';

    private static ?self $one = null;

    /** @var array<string, true> by the key of the operation and its status */
    private array $answers = [];

    private Validator $validator;

    private function __construct()
    {
        $api = json_decode(json_encode(app(ApiDescription::class)->toData(), JSON_THROW_ON_ERROR), false, 128, JSON_THROW_ON_ERROR);
        $all = new stdClass;
        foreach (get_object_vars($api->paths) as $path => $methods) {
            foreach (get_object_vars($methods) as $method => $operation) {
                foreach (get_object_vars($operation->responses) as $status => $answer) {
                    $schema = $answer->content->{'application/json'}->schema ?? null;
                    if ($schema !== null) {
                        $key = self::key($method, $path, (int) $status);
                        $this->answers[$key] = true;
                        $all->{$key} = self::asJsonSchema($schema);
                    }
                }
            }
        }
        $this->validator = new Validator;
        $this->validator->resolver()?->registerRaw((object) ['$id' => self::ID, '$defs' => (object) array_map(self::asJsonSchema(...), get_object_vars($api->components->schemas)), 'answers' => $all], self::ID);
    }

    /** What is wrong with an answer to a request of the API; null where nothing is, or where it is not described as JSON. */
    public static function wrongWith(?Route $route, string $method, TestResponse $answer): ?string
    {
        if ($route === null || preg_match('#^(?:mine/)?api(?:/|$)#', $route->uri()) !== 1 || ! str_contains((string) $answer->headers->get('Content-Type'), 'json')) {
            return null;
        }
        self::$one ??= new self;
        $status = $answer->getStatusCode();

        return self::$one->compared($status >= 400 ? '$defs/ProblemData' : 'answers/'.self::key($method, '/'.$route->uri(), $status), (string) $answer->getContent(), "$method /{$route->uri()} $status");
    }

    private function compared(string $schema, string $content, string $says): ?string
    {
        if (str_starts_with($schema, 'answers/') && ! isset($this->answers[substr($schema, 8)])) {
            return str_contains($says, ' 20') && ! str_starts_with($says, 'GET') ? "$says is not described." : null;
        }
        $result = $this->validator->validate(json_decode($content, false, 512, JSON_THROW_ON_ERROR), self::ID."#/$schema");

        return $result->isValid() ? null : "$says is not as it is described: ".json_encode($result->error() === null ? '' : (new ErrorFormatter)->format($result->error()), JSON_THROW_ON_ERROR);
    }

    private static function key(string $method, string $path, int $status): string
    {
        return md5(strtolower($method)." $path $status");
    }

    /** OpenAPI 3.0 says `nullable`; JSON Schema says a type of null. Shapes are closed here, so that nothing undescribed passes. */
    public static function asJsonSchema(mixed $part): mixed
    {
        if (is_array($part)) {
            return array_map(self::asJsonSchema(...), $part);
        }
        if (! $part instanceof stdClass) {
            return $part;
        }
        $out = new stdClass;
        foreach (get_object_vars($part) as $key => $value) {
            $out->{$key} = match ($key) {
                '$ref' => str_replace('#/components/schemas/', '#/$defs/', $value),
                'properties' => (object) array_map(self::asJsonSchema(...), get_object_vars($value)), // names, one of which may be `format`
                default => self::asJsonSchema($value),
            };
        }
        unset($out->nullable, $out->format);
        if (isset($out->properties) && ! isset($out->additionalProperties) && ! isset($part->{'x-carries-others'})) {
            $out->additionalProperties = false;
        }

        return ($part->nullable ?? false) === true ? (object) ['anyOf' => [(object) ['type' => 'null'], $out]] : $out;
    }
}
