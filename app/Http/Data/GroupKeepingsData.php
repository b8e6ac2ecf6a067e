<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Group;
use App\Models\Student;
use Gorvan\Core\Standing\KeepingStanding;

/** Where everyone in a group stands in its principles on a day. */
final readonly class GroupKeepingsData
{
    /**
     * @param  list<PersonNameData>  $names
     * @param  list<StudentKeepings>  $students
     * @param  list<PrincipleMeanData>  $means  of each principle, in their order
     */
    public function __construct(
        public string $on,
        public ?GroupPrinciplesData $principles,
        public array $names,
        public array $students,
        public array $means,
    ) {
    }

    /** @param  array<string, array<string, KeepingStanding>>  $standings  by student and principle */
    public static function of(Group $group, string $on, array $standings): self
    {
        $principles = GroupPrinciplesData::of($group);
        $ids = array_map(static fn (PrincipleData $one): string => $one->id, $principles->principles ?? []);

        return new self(
            $on,
            $principles,
            array_values($group->byName()->map(static fn (Student $one): PersonNameData => new PersonNameData($one->id, $one->name))->all()),
            StudentKeepings::all($standings),
            array_map(static function (string $id) use ($standings): PrincipleMeanData {
                $own = array_values(array_map(static fn (array $of): KeepingStanding => $of[$id], $standings));

                return new PrincipleMeanData($id, KeepingStanding::mean($own), KeepingStanding::slips($own), count(array_filter($own, static fn (KeepingStanding $one): bool => $one->isMet())));
            }, $ids),
        );
    }
}
