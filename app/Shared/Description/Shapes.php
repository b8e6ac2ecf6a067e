<?php

declare(strict_types=1);

namespace App\Shared\Description;

use App\Shared\Sent\Sent;
use App\Shared\Sent\SentType;
use ArrayObject;
use BackedEnum;
use DateTimeImmutable;
use Gorvan\Core\Reading\JsonNode;
use JsonSerializable;
use LogicException;
use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocTextNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;
use ReflectionClass;
use ReflectionMethod;
use ReflectionParameter;
use stdClass;
use Symfony\Component\TypeInfo\Type;
use Symfony\Component\TypeInfo\Type\ArrayShapeType;
use Symfony\Component\TypeInfo\Type\BackedEnumType;
use Symfony\Component\TypeInfo\Type\BuiltinType;
use Symfony\Component\TypeInfo\Type\CollectionType;
use Symfony\Component\TypeInfo\Type\GenericType;
use Symfony\Component\TypeInfo\Type\NullableType;
use Symfony\Component\TypeInfo\Type\ObjectType;
use Symfony\Component\TypeInfo\Type\UnionType;
use Symfony\Component\TypeInfo\TypeContext\TypeContextFactory;
use Symfony\Component\TypeInfo\TypeIdentifier;
use Symfony\Component\TypeInfo\TypeResolver\StringTypeResolver;
use Symfony\Component\TypeInfo\TypeResolver\TypeResolver;

/**
 * What values look like as JSON, in the words of OpenAPI 3.0: a class looks like its constructor, with the types and the
 * texts of its docblock; one that writes or reads itself looks like its `Data`, or like what it is serialized to.
 */
final class Shapes
{
    /** An object of which nothing is said. */
    private const ANY = ['type' => 'object', 'additionalProperties' => true];

    private readonly TypeResolver $types;

    private readonly TypeContextFactory $contexts;

    private readonly Lexer $lexer;

    private readonly PhpDocParser $docs;

    /** @var array<string, class-string> by the name it has in the description */
    private array $classes = [];

    /** @var array<string, array<string, mixed>> */
    private array $schemas = [];

    public function __construct()
    {
        $config = new ParserConfig([]);
        $constants = new ConstExprParser($config);
        $this->types = TypeResolver::create();
        $this->contexts = new TypeContextFactory(new StringTypeResolver);
        $this->lexer = new Lexer($config);
        $this->docs = new PhpDocParser($config, new TypeParser($config, $constants), $constants);
    }

    /** @return array<string, array<string, mixed>> every class that was asked for, and all that these are made of, by name */
    public function all(): array
    {
        ksort($this->schemas);

        return $this->schemas;
    }

    /**
     * @return array<string, string> a reference to its schema
     *
     * @throws LogicException where two classes have one name
     */
    public function named(string $class): array
    {
        if (! class_exists($class)) {
            throw new LogicException("$class is no class.");
        }
        $name = (string) preg_replace('/^.*\\\\|Reader$/', '', $class);
        $other = $this->classes[$name] ??= $class;
        if ($other !== $class) {
            throw new LogicException("$class and $other have one name in the description.");
        }
        if (! isset($this->schemas[$name])) {
            $this->schemas[$name] = []; // what contains itself finds it begun
            $this->schemas[$name] = $this->schema($class);
        }

        return ['$ref' => "#/components/schemas/$name"];
    }

    /** @return array<string, mixed> */
    public function of(Type $type): array
    {
        return match (true) {
            $type instanceof NullableType => $this->orNull($this->of($type->getWrappedType())),
            $type instanceof ArrayShapeType => $this->shape($type),
            $type instanceof CollectionType => $type->isList()
                ? ['type' => 'array', 'items' => $this->of($type->getCollectionValueType())]
                : $this->map($type->getCollectionValueType()),
            $type instanceof BackedEnumType => $this->named($type->getClassName()),
            $type instanceof GenericType && (string) $type->getWrappedType() === ArrayObject::class => $this->map($type->getVariableTypes()[1]),
            $type instanceof ObjectType && in_array($type->getClassName(), [stdClass::class, JsonNode::class], true) => self::ANY,
            $type instanceof ObjectType && $type->getClassName() === DateTimeImmutable::class => ['type' => 'string'],
            $type instanceof ObjectType => $this->named($type->getClassName()),
            $type instanceof UnionType => self::union(array_map($this->of(...), $type->getTypes())),
            $type instanceof BuiltinType => match ($type->getTypeIdentifier()) {
                TypeIdentifier::INT => ['type' => 'integer'],
                TypeIdentifier::FLOAT => ['type' => 'number', 'format' => 'float'],
                TypeIdentifier::BOOL => ['type' => 'boolean'],
                TypeIdentifier::STRING => ['type' => 'string'],
                TypeIdentifier::OBJECT => self::ANY,
                default => throw new LogicException("$type has no shape."),
            },
            default => throw new LogicException("$type has no shape."),
        };
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private function schema(string $class): array
    {
        $reflected = new ReflectionClass($class);
        $says = $this->text((string) $reflected->getDocComment());
        if (is_a($class, BackedEnum::class, true)) {
            return self::enum($class, $says);
        }
        $data = $this->contexts->createFromReflection($reflected)->typeAliases['Data'] ?? null;
        if ($data !== null) {
            return ['description' => $says, ...$this->of($data), 'x-carries-others' => true]; // what a newer file says besides is kept
        }
        if ($reflected->implementsInterface(JsonSerializable::class)) {
            return ['description' => $says, ...$this->of($this->types->resolve(new ReflectionMethod($class, 'jsonSerialize')))];
        }
        $constructor = $reflected->getConstructor() ?? throw new LogicException("$class has no constructor to be described by.");
        $texts = $this->texts((string) $constructor->getDocComment());
        $properties = $required = [];
        // Our answers always carry every key, null where nothing is known.
        $isSent = $reflected->implementsInterface(Sent::class);
        foreach ($constructor->getParameters() as $one) {
            $text = $texts[$one->getName()] ?? '';
            $properties[$one->getName()] = [...$text === '' ? [] : ['description' => $text], ...$this->parameter($one)];
            if (! $isSent || ! $one->isDefaultValueAvailable()) {
                $required[] = $one->getName();
            }
        }

        return array_filter(['description' => $says, 'required' => $required, 'properties' => $properties, 'type' => 'object']);
    }

    /** What a docblock says before its tags. */
    private function text(string $comment): string
    {
        $texts = array_filter($this->parsed($comment)->children, static fn ($node): bool => $node instanceof PhpDocTextNode);

        return trim(implode("\n", $texts));
    }

    /** @return array<string, string> what the docblock of a function says of each parameter, by name */
    public function texts(string $comment): array
    {
        $texts = [];
        foreach ($this->parsed($comment)->getParamTagValues() as $tag) {
            $texts[ltrim($tag->parameterName, '$')] = (string) preg_replace('/\s+/', ' ', $tag->description);
        }

        return $texts;
    }

    /** @return array<string, mixed> */
    private function parameter(ReflectionParameter $parameter): array
    {
        $type = $this->types->resolve($parameter);
        $data = ($parameter->getAttributes(AsData::class)[0] ?? null)?->newInstance();
        if ($data !== null) {
            $looks = $data->isList ? ['type' => 'array', 'items' => $this->named($data->of)] : $this->named($data->of);

            return $type instanceof NullableType ? $this->orNull($looks) : $looks;
        }
        $sent = SentType::of($type);

        // What may be left out is no part of what it is where it is said.
        return $this->of($sent->isNullable ? Type::nullable($sent->type) : $sent->type);
    }

    /**
     * What is sent as a query: each value by itself, as text.
     *
     * @param  class-string<Sent>  $class
     * @return list<array<string, mixed>>
     */
    public function query(string $class): array
    {
        $parameters = [];
        foreach ((new ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $one) {
            $type = SentType::of($this->types->resolve($one))->type;
            $shape = (string) $type === 'bool' ? ['type' => 'integer', 'enum' => [0, 1]] : $this->of($type);
            $parameters[] = ['name' => $one->getName(), 'in' => 'query', 'required' => ! $one->isDefaultValueAvailable(), 'schema' => $shape];
        }

        return $parameters;
    }

    private function parsed(string $comment): PhpDocNode
    {
        return $this->docs->parse(new TokenIterator($this->lexer->tokenize($comment === '' ? '/** */' : $comment)));
    }

    /** @return array<string, mixed> */
    private function map(Type $of): array
    {
        return ['type' => 'object', 'additionalProperties' => $of instanceof BuiltinType && $of->getTypeIdentifier() === TypeIdentifier::MIXED ? true : $this->of($of)];
    }

    /** @return array<string, mixed> */
    private function shape(ArrayShapeType $type): array
    {
        $shape = $type->getShape();
        $needed = array_filter($shape, static fn (array $one): bool => ! $one['optional']);
        if (array_is_list($shape)) {
            return ['type' => 'array', 'items' => $this->of(Type::union(...array_column($shape, 'type'))), 'maxItems' => count($shape), 'minItems' => count($needed)];
        }
        $properties = array_map(fn (array $one): array => $this->of($one['type']), $shape);

        return array_filter(['required' => array_keys($needed), 'properties' => $properties, 'type' => 'object'], static fn ($one): bool => $one !== []);
    }

    /**
     * @param  array<array<string, mixed>>  $shapes
     * @return array<string, mixed>
     */
    private static function union(array $shapes): array
    {
        $isNumber = array_diff(array_column($shapes, 'type'), ['integer', 'number']) === [] && count(array_column($shapes, 'type')) === count($shapes);

        return $isNumber ? ['type' => 'number'] : ['oneOf' => $shapes];
    }

    /**
     * @param  array<string, mixed>  $shape
     * @return array<string, mixed>
     */
    private function orNull(array $shape): array
    {
        return isset($shape['$ref']) ? ['oneOf' => [$shape], 'nullable' => true] : [...$shape, 'nullable' => true];
    }

    /**
     * @param  class-string<BackedEnum>  $class
     * @return array<string, mixed>
     */
    private static function enum(string $class, string $says): array
    {
        $values = array_column($class::cases(), is_a($class, JsonSerializable::class, true) ? 'name' : 'value');

        return array_filter(['description' => $says, 'type' => is_int($values[0]) ? 'integer' : 'string', 'enum' => $values]);
    }
}
