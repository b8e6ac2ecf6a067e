<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Tracks;
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
     * @param  list<string>|null  $only  student ids, or null for everyone
     * @return array<string, array<string, KeepingStanding>> by student and principle, in their order; empty where it works with none
     */
    public function __invoke(Group $group, string $on, ?array $only = null): array
    {
        $ids = self::principles($group);
        if ($ids === []) {
            return [];
        }
        $students = $group->byName()->modelKeys();

        return $this->of($group, $this->standings->principles($only === null ? array_values($students) : array_values(array_intersect($students, $only)), $ids, $on), $on);
    }

    /** @return list<string> the principles it works on, rows */
    public static function principles(Group $group): array
    {
        return $group->principles === null ? [] : array_values($group->principles->principles->modelKeys());
    }

    /**
     * The same of tracks that are read already.
     *
     * @param  array<string, array<string, Tracks>>  $tracks  by student and principle
     * @return array<string, array<string, KeepingStanding>>
     */
    public function of(Group $group, array $tracks, string $on): array
    {
        $ids = self::principles($group);
        $standings = [];
        foreach ($ids === [] ? [] : $tracks as $student => $own) {
            foreach ($ids as $id) {
                $standings[$student][$id] = KeepingStanding::of(($own[$id] ?? null)?->whole, Day::number($on), $this->model);
            }
        }

        return $standings;
    }
}
