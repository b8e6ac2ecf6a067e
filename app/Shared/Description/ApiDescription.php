<?php

declare(strict_types=1);

namespace App\Shared\Description;

use App\Http\Data\ProblemData;
use App\Http\Middleware\AnswerOnce;
use App\Shared\Sent\Sent;
use Illuminate\Http\JsonResponse;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use LogicException;
use ReflectionMethod;
use ReflectionNamedType;

/** The description of the API, read off its routes, the methods that answer them, and the constructors of what is sent and answered. */
final class ApiDescription
{
    private readonly Shapes $shapes;

    public function __construct(private readonly Router $router)
    {
        $this->shapes = new Shapes;
    }

    /** @return array<string, mixed> as OpenAPI 3.0 has it */
    public function toData(): array
    {
        $paths = [];
        foreach ($this->router->getRoutes()->getRoutes() as $route) {
            if (preg_match('#^(?:mine/)?api(?:/|$)#', $route->uri()) === 1) {
                $paths['/'.$route->uri()][strtolower($route->methods()[0])] = $this->operation($route);
            }
        }
        ksort($paths);
        $problem = ['description' => 'What is wrong, where, and what to do', 'content' => self::json($this->shapes->named(ProblemData::class))];

        return [
            'openapi' => '3.0.0',
            'info' => ['title' => 'Gorvan', 'description' => 'What the pages of Gorvan read and write. Cookie session; same origin.', 'version' => '1'],
            'paths' => $paths,
            'components' => ['schemas' => $this->shapes->all(), 'responses' => ['Problem' => $problem]],
        ];
    }

    /** @return array<string, mixed> */
    private function operation(Route $route): array
    {
        $method = self::method($route);
        $says = ($method->getAttributes(Operation::class)[0] ?? null)?->newInstance() ?? throw new LogicException("Nothing says what $method->class::$method->name() answers.");
        $isRead = in_array('GET', $route->methods(), true);
        $sent = self::sent($method);
        $parameters = [
            ...array_map(static fn (string $name): array => ['name' => $name, 'in' => 'path', 'required' => true, 'schema' => ['type' => 'string']], $route->parameterNames()),
            ...$isRead ? array_merge([], ...array_map($this->shapes->query(...), $sent)) : [],
            ...in_array('once', $route->middleware(), true) ? [['name' => AnswerOnce::HEADER, 'in' => 'header', 'required' => true, 'schema' => ['type' => 'string']]] : [],
        ];
        $body = $says->takes ?? ($isRead ? null : $sent[0] ?? null);
        // What is no JSON is nothing, or a file.
        $status = (string) $method->getReturnType() === JsonResponse::class || $isRead ? 200 : 204;
        $answer = match (true) {
            $says->answers === null => [],
            is_array($says->answers) => ['content' => self::json(['type' => 'array', 'items' => $this->shapes->named($says->answers[0])])],
            default => ['content' => self::json($this->shapes->named($says->answers))],
        };
        $problem = ['$ref' => '#/components/responses/Problem'];

        return [
            'operationId' => $says->id,
            ...$parameters === [] ? [] : ['parameters' => $parameters],
            ...$body === null ? [] : ['requestBody' => ['required' => true, 'content' => self::json($this->shapes->named($body))]],
            'responses' => [$says->status ?? $status => ['description' => $says->says, ...$answer]] + ($says->mayConflict ? [409 => $problem] : []) + [422 => $problem],
        ];
    }

    private static function method(Route $route): ReflectionMethod
    {
        $class = $route->getControllerClass() ?? throw new LogicException("Nothing of ours answers {$route->uri()}.");
        $name = $route->getActionMethod();

        return new ReflectionMethod($class, $name === $class ? '__invoke' : $name);
    }

    /** @return list<class-string<Sent>> what the method takes of the request */
    private static function sent(ReflectionMethod $method): array
    {
        $sent = [];
        foreach ($method->getParameters() as $one) {
            $type = $one->getType();
            if ($type instanceof ReflectionNamedType && is_a($type->getName(), Sent::class, true)) {
                $sent[] = $type->getName();
            }
        }

        return $sent;
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, array<string, mixed>>
     */
    private static function json(array $schema): array
    {
        return ['application/json' => ['schema' => $schema]];
    }
}
