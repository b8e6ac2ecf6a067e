<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Standing\KeepingStanding;
use OpenApi\Attributes as OA;

/** What a student keeps of the principles of their group. */
#[OA\Schema]
final readonly class StudentKeepings
{
    /**
     * @param  list<KeepingData>  $keepings  those met
     */
    public function __construct(
        #[OA\Property]
        public string $student,
        #[OA\Property(type: 'array', items: new OA\Items(ref: KeepingData::class))]
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
