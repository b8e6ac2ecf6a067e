<?php

declare(strict_types=1);

namespace App\Shared\Sent;

use BackedEnum;
use Closure;
use DateTimeImmutable;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use LogicException;
use ReflectionAttribute;
use ReflectionParameter;
use Symfony\Component\TypeInfo\Type;
use Symfony\Component\TypeInfo\Type\BackedEnumType;
use Symfony\Component\TypeInfo\Type\CollectionType;
use Symfony\Component\TypeInfo\Type\ObjectType;

/** What is checked of what was sent: read off the constructor of its class. */
final readonly class SentRules
{
    /**
     * @param  class-string<Sent>  $class
     * @param  string  $path  of what it lies in, with a point at its end
     * @param  string|null  $within  what it is the rules of, where that may be left out
     * @return array<string, list<string|Closure|Enum|ValidationRule>> of the framework, by path
     */
    public function of(string $class, string $path = '', ?string $within = null): array
    {
        $rules = [];
        foreach (Field::all($class) as $field) {
            [$one, $type] = [$field->parameter, $field->type];
            $at = $path.$one->getName();
            if ($type->is(JsonNode::class)) {
                continue; // core reads it, from the text itself
            }
            $said = self::said($one, Rules::class, $path);
            $rules[$at] = [...self::presence($one, $type, $said, $within), ...$type->isNullable ? ['nullable'] : [], ...self::ofType($type->type), ...$said];
            $rules += $this->inside($type->type, $at, $one);
        }

        return $rules;
    }

    /**
     * @param  list<string|ValidationRule>  $said
     * @return list<string>
     */
    private static function presence(ReflectionParameter $one, SentType $type, array $said, ?string $within): array
    {
        $isSaid = array_filter($said, static fn (mixed $rule): bool => is_string($rule) && preg_match('/^(?:required|present)/', $rule) === 1) !== [];

        // A list or a map may be empty, and is there all the same.
        $presence = $type->isNullable || $type->type instanceof CollectionType ? 'present' : 'required';

        return match (true) {
            $isSaid || $one->isDefaultValueAvailable() => [],
            default => [$within === null ? $presence : "{$presence}_with:$within"],
        };
    }

    /** @return array<string, list<string|Closure|Enum|ValidationRule>> */
    private function inside(Type $type, string $at, ReflectionParameter $of): array
    {
        if ($type instanceof ObjectType && is_a($type->getClassName(), Sent::class, true)) {
            return $this->of($type->getClassName(), "$at.", $of->isDefaultValueAvailable() ? $at : null);
        }
        if (! $type instanceof CollectionType) {
            return [];
        }
        $item = SentType::of($type->getCollectionValueType());
        $rules = ["$at.*" => [...$item->isNullable ? ['nullable'] : [], ...self::ofType($item->type), ...self::said($of, Each::class, '')]];

        return $rules + ($item->type instanceof ObjectType && is_a($item->type->getClassName(), Sent::class, true) ? $this->of($item->type->getClassName(), "$at.*.") : []);
    }

    /** @return list<string|Closure|Enum> */
    private static function ofType(Type $type): array
    {
        return match (true) {
            $type instanceof CollectionType => ['array'],
            $type instanceof BackedEnumType => [self::enum($type->getClassName())],
            $type instanceof ObjectType => $type->getClassName() === DateTimeImmutable::class ? [self::instant()] : ['array'],
            default => [['int' => 'integer', 'float' => 'numeric', 'bool' => 'boolean', 'string' => 'string'][(string) $type] ?? throw new LogicException("$type cannot be sent.")],
        };
    }

    private static function enum(string $class): Enum
    {
        return is_a($class, BackedEnum::class, true) ? Rule::enum($class) : throw new LogicException("$class has no values.");
    }

    /** An instant with its offset. One in the future is a clock that runs fast, and no reason to refuse. */
    private static function instant(): Closure
    {
        return static function (string $attribute, mixed $value): void {
            try {
                Instant::read(JsonNode::of($value, $attribute));
            } catch (BadInput $e) {
                throw $e->movedTo($attribute);
            }
        };
    }

    /**
     * @param  class-string<Rules|Each>  $attribute
     * @param  string  $path  of what it lies in, for `{path}`
     * @return list<string|ValidationRule> what is said besides, limits filled in
     */
    private static function said(ReflectionParameter $one, string $attribute, string $path): array
    {
        $said = array_map(static fn (ReflectionAttribute $each): array => $each->newInstance()->rules, $one->getAttributes($attribute));

        return array_map(static fn (string $rule): string|ValidationRule => match (true) {
            is_a($rule, ValidationRule::class, true) => new $rule,
            default => (string) preg_replace_callback('/\{([\w.]+)\}/', static fn (array $found): string => $found[1] === 'path' ? $path : (string) config("gorvan.$found[1]"), $rule),
        }, array_merge([], ...$said));
    }
}
