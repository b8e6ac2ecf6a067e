<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Group;
use App\Models\Principle as Row;
use Gorvan\Core\Principle\Principle;

/** The principles a group works on. */
final readonly class GroupPrinciplesData
{
    /**
     * @param  list<string>  $families
     * @param  list<PrincipleData>  $principles  in their order
     * @param  list<NamedPrincipleData>  $gone  taken out of the set, and still on record
     * @param  int  $focuses  a meeting
     */
    public function __construct(
        public string $setId,
        public string $title,
        public array $families,
        public array $principles,
        public array $gone,
        public int $focuses,
    ) {
    }

    public static function of(Group $group): ?self
    {
        $row = $group->principles;
        if ($row === null) {
            return null;
        }
        $placed = $row->placed();

        return new self(
            $placed->id,
            $placed->set->title,
            $placed->set->families,
            array_map(static fn (Principle $one): PrincipleData => PrincipleData::of($one, $placed->ids[$one->id]), $placed->set->principles),
            array_values($row->gone->map(static fn (Row $row): NamedPrincipleData => new NamedPrincipleData($row->id, $row->title))->all()),
            $group->focuses,
        );
    }
}
