<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;

/** Says whether the room a group meets in is cold: then two general warm-ups come first. */
final class MarkRoomCold
{
    public function __construct(private readonly ReplanGroup $replan)
    {
    }

    public function __invoke(Group $group, bool $isCold): void
    {
        $group->update(['is_room_cold' => $isCold]);
        if ($group->wasChanged('is_room_cold')) {
            $this->replan->asked($group->id, 'cause.warm_ups');
        }
    }
}
