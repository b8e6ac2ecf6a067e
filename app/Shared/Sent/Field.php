<?php

declare(strict_types=1);

namespace App\Shared\Sent;

use ReflectionClass;
use ReflectionParameter;
use Symfony\Component\TypeInfo\Type;
use Symfony\Component\TypeInfo\TypeResolver\ReflectionTypeResolver;
use Symfony\Component\TypeInfo\TypeResolver\TypeResolver;

/** One value that is sent: a parameter of the constructor of its class, with its type. */
final readonly class Field
{
    private function __construct(public ReflectionParameter $parameter, public SentType $type)
    {
    }

    /**
     * Every request reads its class, and a list of marks reads one class many times: it is read once.
     *
     * @param  class-string<Sent>  $class
     * @return list<self>
     */
    public static function all(string $class): array
    {
        /** @var array<class-string<Sent>, list<self>> $read */
        static $read = [];

        return $read[$class] ??= array_map(
            static fn (ReflectionParameter $one): self => new self($one, SentType::of(self::typeOf($one))),
            (new ReflectionClass($class))->getConstructor()?->getParameters() ?? [],
        );
    }

    /** Of what an array has inside only its docblock tells; all else stands in the code, which is faster to read. */
    private static function typeOf(ReflectionParameter $one): Type
    {
        $native = $one->getType();

        return $native === null || str_contains((string) $native, 'array') ? TypeResolver::create()->resolve($one) : (new ReflectionTypeResolver)->resolve($native);
    }
}
