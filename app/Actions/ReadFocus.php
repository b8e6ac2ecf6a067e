<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\JoinedForm;
use App\Models\LoggedClass;
use App\Models\PlacedForm;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Tracks;
use Gorvan\Core\Principle\FocusHistory;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Term\ExpectedStudent;
use Gorvan\Core\Term\FocusOutset;
use Gorvan\Core\Term\KnownEntry;

/** Reads what the focuses of a term rest on: the group's principles, where they bite, what was worked on, what each remembers. */
final class ReadFocus
{
    public function __construct(private readonly CurrentSchool $school, private readonly ReadStandings $standings, private readonly MemoryModel $model = new MemoryModel)
    {
    }

    /**
     * @param  array<string, PlacedForm>  $forms  by course
     * @param  array<string, float>  $comes  chance of coming, by student
     * @param  array<string, float>  $trust  by student, where something was tested
     */
    public function __invoke(Group $group, array $forms, array $comes, array $trust): ?FocusOutset
    {
        $row = $group->principles;
        if ($row === null) {
            return null;
        }
        $placed = $row->placed();
        $set = $placed->recorded();
        $bites = [];
        foreach ($forms as $course => $form) {
            $joined = JoinedForm::between($row->id, $form->id);
            if ($joined !== null) {
                $bites[$course] = $placed->recordedBites($joined->bites()->within($placed->set, $form->form));
            }
        }
        $today = $this->school->today();
        $tracks = $this->standings->principles(array_keys($comes), $set->ids(), $today);

        return new FocusOutset(
            $set,
            $bites,
            array_map(fn (string $student, float $chance): ExpectedStudent => new ExpectedStudent($student, $chance, (float) ($trust[$student] ?? 1.0), $this->known($set->ids(), $tracks[$student] ?? [], $today)), array_keys($comes), array_values($comes)),
            $this->history($group, $set->ids()),
            max(1, $group->focuses),
            array_map(static fn (PlacedForm $form) => $form->form, $forms),
            $group->focuses === Group::WHOLE_FAMILY,
        );
    }

    /**
     * What the classes of a group have worked on of a set, in order: another set it worked on before says nothing here.
     *
     * @param  list<string>  $ids
     */
    private function history(Group $group, array $ids): FocusHistory
    {
        $history = new FocusHistory;
        $rows = LoggedClass::standing()->where('group_id', $group->id)->whereNotNull('meeting_id')->orderBy('on')->orderBy('made_at')->toBase()
            ->selectRaw("jsonb_path_query_array(body::jsonb, '$.did[*] ? (@.what == \"focus\").principles[*]') as principles")->pluck('principles');
        foreach ($rows as $principles) {
            $history = $history->after(array_values(array_intersect(array_unique(json_decode($principles, true, 4, JSON_THROW_ON_ERROR)), $ids)));
        }

        return $history;
    }

    /**
     * @param  list<string>  $ids
     * @param  array<string, Tracks>  $tracks  by principle
     * @return array<int, KnownEntry> by place in the set, from 1
     */
    private function known(array $ids, array $tracks, string $today): array
    {
        $known = [];
        foreach ($ids as $at => $id) {
            $own = isset($tracks[$id]) ? KnownEntry::weakerOf($tracks[$id], Day::number($today), $this->model) : null;
            if ($own !== null) {
                $known[$at + 1] = $own;
            }
        }

        return $known;
    }
}
