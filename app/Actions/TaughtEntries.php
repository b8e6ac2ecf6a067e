<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\LoggedClass;
use App\Models\PlacedForm;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\Taught;
use Illuminate\Support\Facades\DB;

/** What a group was taught of a form, and when: read out of its logs. */
final class TaughtEntries
{
    public function __invoke(string $group, PlacedForm $form): Taught
    {
        $prefix = "$form->id/";
        $rows = LoggedClass::standing()->where('group_id', $group)->toBase()
            ->select(DB::raw('unnest(taught) as entry'), DB::raw('min("on") as first'))->groupBy('entry')->get();
        $lessons = [];
        foreach ($rows as $row) {
            if (str_starts_with($row->entry, $prefix)) {
                $lessons[] = [Day::number($row->first), [substr($row->entry, strlen($prefix))]];
            }
        }

        return Taught::of($lessons);
    }

    /** @return list<int> positions taught by a day `Y-m-d` */
    public function by(string $group, PlacedForm $form, string $on): array
    {
        return $this($group, $form)->by(Day::number($on), $form->form);
    }
}
