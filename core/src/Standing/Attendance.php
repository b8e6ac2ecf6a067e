<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/**
 * Which of a group's classes somebody came to. A class before they joined counts for them only where they came: nobody is
 * told that they were away from what they had not begun. Pure.
 */
final readonly class Attendance
{
    /**
     * @param  list<bool|null>  $each  for each class: there, away, or null where they had not joined yet
     */
    private function __construct(public array $each)
    {
    }

    /**
     * @param  list<array{string, list<string>}>  $classes  day `Y-m-d` and who was there
     * @param  list<string>  $records  under which they stand on record
     * @param  string  $joined  day `Y-m-d`
     */
    public static function of(array $classes, array $records, string $joined): self
    {
        return new self(array_map(static fn (array $class): ?bool => match (true) {
            array_intersect($records, $class[1]) !== [] => true,
            $class[0] < $joined => null,
            default => false,
        }, $classes));
    }

    public function came(): int
    {
        return count(array_keys($this->each, true, true));
    }

    public function classes(): int
    {
        return count(array_filter($this->each, static fn (?bool $one): bool => $one !== null));
    }
}
