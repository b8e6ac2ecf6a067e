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
        return self::in($form, $this->firsts([$group])[$group] ?? []);
    }

    /**
     * When some groups were first taught what, of whatever form.
     *
     * @param  list<string>  $groups
     * @return array<string, array<string, string>> days `Y-m-d` by group and `form/entry`
     */
    public function firsts(array $groups): array
    {
        $firsts = [];
        foreach (LoggedClass::standing()->whereIn('group_id', $groups)->toBase()
            ->select('group_id', DB::raw('unnest(taught) as entry'), DB::raw('min("on") as first'))->groupBy('group_id', 'entry')->get() as $row) {
            $firsts[$row->group_id][$row->entry] = $row->first;
        }

        return $firsts;
    }

    /** @param  array<string, string>  $firsts  of a group, {@see firsts()} */
    public static function in(PlacedForm $form, array $firsts): Taught
    {
        $prefix = "$form->id/";
        $lessons = [];
        foreach ($firsts as $entry => $first) {
            if (str_starts_with($entry, $prefix)) {
                $lessons[] = [Day::number($first), [substr($entry, strlen($prefix))]];
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
