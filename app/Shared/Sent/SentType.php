<?php

declare(strict_types=1);

namespace App\Shared\Sent;

use Symfony\Component\TypeInfo\Type;
use Symfony\Component\TypeInfo\Type\NullableType;
use Symfony\Component\TypeInfo\Type\ObjectType;
use Symfony\Component\TypeInfo\Type\UnionType;

/** The type of one value that is sent: what it is where it is said, and whether it may be null. */
final readonly class SentType
{
    private function __construct(public Type $type, public bool $isNullable)
    {
    }

    public static function of(Type $type): self
    {
        $isNullable = $type instanceof NullableType;
        $bare = $isNullable ? $type->getWrappedType() : $type;
        if ($bare instanceof UnionType) {
            $said = array_filter($bare->getTypes(), static fn (Type $one): bool => ! $one instanceof ObjectType || $one->getClassName() !== Unsaid::class);
            $bare = count($said) === 1 ? array_values($said)[0] : Type::union(...$said);
        }

        return new self($bare, $isNullable);
    }

    /** @param  class-string  $class */
    public function is(string $class): bool
    {
        return $this->type instanceof ObjectType && $this->type->getClassName() === $class;
    }
}
