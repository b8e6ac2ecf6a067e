<?php

declare(strict_types=1);

namespace App\Shared\Sent;

use BackedEnum;
use DateTimeImmutable;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Validator;
use LogicException;
use Symfony\Component\TypeInfo\Type;
use Symfony\Component\TypeInfo\Type\BackedEnumType;
use Symfony\Component\TypeInfo\Type\CollectionType;
use Symfony\Component\TypeInfo\Type\ObjectType;

/** Makes of a request what its method asks for: checked, and each value of its type. */
final readonly class SentReader
{
    /**
     * @template T of Sent
     *
     * @param  class-string<T>  $class
     * @return T
     *
     * @throws \Illuminate\Validation\ValidationException|\Gorvan\Core\Reading\BadInput
     */
    public function read(string $class, Request $request): Sent
    {
        $sent = $request->all();
        $given = Validator::validate($sent, (new SentRules)->of($class));

        return $this->made($class, $given, $sent, static fn (): JsonNode => JsonNode::parse($request->getContent()));
    }

    /**
     * @template T of Sent
     *
     * @param  class-string<T>  $class
     * @param  array<array-key, mixed>  $given  what was checked
     * @param  array<array-key, mixed>  $sent  as it came: what is empty is there all the same, and is no part of what was checked
     * @param  \Closure(): JsonNode|null  $text  all that was sent, for what core reads of it
     * @return T
     */
    private function made(string $class, array $given, array $sent, ?\Closure $text = null): Sent
    {
        $values = [];
        foreach (Field::all($class) as $field) {
            [$one, $type] = [$field->parameter, $field->type];
            if ($type->is(JsonNode::class)) {
                $node = $text === null ? throw new LogicException("$class is read by core, and lies in something else.") : $text();
                $values[$one->getName()] = $one->isDefaultValueAvailable() ? $node->optional($one->getName()) : $node->required($one->getName());
            } elseif (array_key_exists($one->getName(), $given)) {
                $values[$one->getName()] = $this->value($type->type, $given[$one->getName()], $sent[$one->getName()] ?? null);
            } elseif (is_array($sent[$one->getName()] ?? null)) {
                $values[$one->getName()] = $this->value($type->type, [], []);
            }
        }

        return new $class(...$values);
    }

    private function value(Type $type, mixed $value, mixed $sent): mixed
    {
        return match (true) {
            $value === null => null,
            $type instanceof CollectionType => $this->each(SentType::of($type->getCollectionValueType())->type, $type->isList(), (array) $value, (array) $sent),
            $type instanceof BackedEnumType => self::case($type->getClassName(), $value),
            $type instanceof ObjectType => $this->object($type->getClassName(), $value, $sent),
            default => match ((string) $type) {
                'int' => (int) $value,
                'float' => (float) $value,
                'bool' => (bool) $value,
                default => (string) $value,
            },
        };
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @param  array<array-key, mixed>  $sent
     * @return array<array-key, mixed>
     */
    private function each(Type $each, bool $isList, array $values, array $sent): array
    {
        foreach ($values as $key => $value) {
            $values[$key] = $this->value($each, $value, $sent[$key] ?? null);
        }

        return $isList ? array_values($values) : $values;
    }

    private function object(string $class, mixed $value, mixed $sent): object
    {
        return match (true) {
            $class === DateTimeImmutable::class => new DateTimeImmutable((string) $value),
            is_a($class, Sent::class, true) => $this->made($class, (array) $value, (array) $sent),
            default => throw new LogicException("$class cannot be sent."),
        };
    }

    private static function case(string $class, mixed $value): BackedEnum
    {
        return is_a($class, BackedEnum::class, true) ? $class::from(is_int($class::cases()[0]->value) ? (int) $value : (string) $value) : throw new LogicException("$class has no values.");
    }
}
