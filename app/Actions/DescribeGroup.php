<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Data\CellData;
use App\Http\Data\StudentData;
use App\Models\Group;
use App\Models\Score;
use Gorvan\Core\Memory\Standing;
use Gorvan\Core\Standing\EntryStanding;
use Gorvan\Core\Standing\StudentStanding;
use Gorvan\Core\Term\Passage;

/** Says where each student of a group stands in a form, on a day. */
final class DescribeGroup
{
    public function __construct(private readonly ReadStandings $standings, private readonly TaughtEntries $taught)
    {
    }

    /**
     * @param  string  $on  the day `Y-m-d`
     * @param  Passage|null  $recap  what leads into the next lesson
     * @param  list<string>|null  $only  student ids, or null for everyone
     * @return list<StudentData> by name
     */
    public function __invoke(Group $group, Score $score, string $on, ?Passage $recap, ?array $only = null): array
    {
        $students = $group->loadMissing('students')->students->sortBy('name', SORT_NATURAL | SORT_FLAG_CASE)
            ->filter(static fn ($student): bool => $only === null || in_array($student->id, $only, true));
        $standings = ($this->standings)($score, array_values($students->pluck('id')->all()), $on);
        $taught = ($this->taught)($group->id, $score);
        $described = [];
        foreach ($students as $student) {
            $described[] = $this->student($student->id, $student->name, $standings[$student->id], $score, $taught, $recap);
        }

        return $described;
    }

    /**
     * @param  array<int, array<string, Standing>>  $tracks
     * @param  list<int>  $taught
     */
    private function student(string $id, string $name, array $tracks, Score $score, array $taught, ?Passage $recap): StudentData
    {
        $entries = $cells = [];
        ksort($tracks);
        foreach ($tracks as $position => $sides) {
            $entry = EntryStanding::of($position, $sides);
            $entries[] = $entry;
            $cells[] = new CellData(
                position: $position,
                support: $entry->support?->name,
                recall: $entry->recall,
                sureness: $entry->sureness()?->value,
                holds: $entry->holds(),
                isAssumed: $entry->isAssumed(),
                isMet: $entry->isMet(),
                left: ($sides['left'] ?? null)?->support?->name,
                right: ($sides['right'] ?? null)?->support?->name,
            );
        }
        $standing = new StudentStanding($score->form, $entries);

        return new StudentData(
            id: $id,
            name: $name,
            cells: $cells,
            frontier: $standing->frontier(),
            holding: count($standing->holding()),
            holes: $standing->holes($taught),
            behind: $standing->behind($taught),
            missed: $standing->missed($taught),
            notReady: $standing->notReadyIn($recap),
        );
    }
}
