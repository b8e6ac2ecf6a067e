<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\KeepingStanding;

/** Where everyone in a group stands in its principles on a day. */
final class GroupKeepings
{
    public function __construct(private readonly ReadStandings $standings, private readonly MemoryModel $model = new MemoryModel)
    {
    }

    /**
     * @param  string  $on  the day `Y-m-d`
     * @param  list<string>  $also  students beside its members: guests of a class
     * @return array<string, array<string, KeepingStanding>> by student and principle, in their order; empty where it works with none
     */
    public function __invoke(Group $group, string $on, array $also = []): array
    {
        $ids = $group->principles === null ? [] : array_values($group->principles->principles->pluck('id')->all());
        if ($ids === []) {
            return [];
        }
        $students = array_values(array_unique([...$group->loadMissing('students')->students->sortBy('name', SORT_NATURAL | SORT_FLAG_CASE)->pluck('id')->all(), ...$also]));
        $standings = [];
        foreach ($this->standings->principles($students, $ids, $on) as $student => $tracks) {
            foreach ($ids as $id) {
                $standings[$student][$id] = KeepingStanding::of(($tracks[$id] ?? null)?->whole, Day::number($on), $this->model);
            }
        }

        return $standings;
    }
}
