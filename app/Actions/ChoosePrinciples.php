<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\PrincipleSet;

/** Says which set of principles a group works on, and how many of them an evening. */
final class ChoosePrinciples
{
    public function __construct(private readonly ReplanGroup $replan)
    {
    }

    public function __invoke(Group $group, ?PrincipleSet $set, int $focuses): void
    {
        $group->update(['principle_set_id' => $set?->id, 'focuses' => $focuses]);
        $group->unsetRelation('principles');
        if ($group->wasChanged(['principle_set_id', 'focuses'])) {
            $this->replan->asked($group->id, 'cause.principles_chosen');
        }
    }
}
