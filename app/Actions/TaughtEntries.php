<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Meeting;
use App\Models\Score;

/** Which entries of a form a group has been given: the lessons of its meetings that were logged. */
final class TaughtEntries
{
    /** @return list<int> positions, in order */
    public function __invoke(string $group, Score $score): array
    {
        $taught = [];
        $meetings = Meeting::whereNotNull('log_id')->whereHas('term', static fn ($term) => $term->where('group_id', $group))->get();
        foreach ($meetings as $meeting) {
            foreach ($score->positions($meeting->plan['lesson'] ?? null) as $position) {
                $taught[$position] = true;
            }
        }
        ksort($taught);

        return array_keys($taught);
    }
}
