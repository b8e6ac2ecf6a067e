<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\KeepingStanding;

/** What a student keeps of the principles of their group. */
final readonly class StudentKeepings
{
    /**
     * @param  list<KeepingData>  $keepings  those met
     */
    public function __construct(
        public string $student,
        public array $keepings,
    ) {
    }

    /**
     * @param  array<string, array<string, KeepingStanding>>  $standings  by student and principle
     * @return list<self>
     */
    public static function all(array $standings): array
    {
        return array_map(static function (string $student, array $own): self {
            $met = array_filter($own, static fn (KeepingStanding $one): bool => $one->isMet() || $one->keeping !== null);

            return new self($student, array_map(KeepingData::of(...), array_map(strval(...), array_keys($met)), array_values($met)));
        }, array_map(strval(...), array_keys($standings)), array_values($standings));
    }
}
