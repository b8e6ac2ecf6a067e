<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Memory\MemoryModel;

/** One sheet for a whole group, with what is particular to each of its students (engine 18). Immutable. */
final readonly class GroupSheet
{
    /**
     * @param  list<int>  $days  ({@see \Gorvan\Core\Reading\Day})
     * @param  list<SheetPassage>  $passages  entries as nobody in particular does them
     * @param  array<string, list<Particular>>  $particulars  by student; those who do everything as it stands are not in it
     */
    private function __construct(public array $days, public array $passages, public array $particulars)
    {
    }

    /** @param  non-empty-array<string, HomeStudent>  $students */
    public static function of(array $students, int $on, int $next, float $minutes, int $days, MemoryModel $model = new MemoryModel): self
    {
        return self::asked($students, array_map(static fn (HomeStudent $one): HomeRequest => HomeRequest::of($one->courses, $one->spared, $on, $next, $minutes, $days, $model), $students), $next, $model);
    }

    /**
     * @param  non-empty-array<string, HomeStudent>  $students
     * @param  non-empty-array<string, HomeRequest>  $asked  of each of them
     */
    public static function asked(array $students, array $asked, int $next, MemoryModel $model): self
    {
        $plan = (new PracticePlanner($model))->together(array_column($asked, 'request'), array_column($asked, 'prospects'));
        $first = array_key_first($students);
        $courses = $students[$first]->courses;
        $passages = $particulars = [];
        foreach ($plan->passages as $one) {
            $own = $asked[$first]->placesOf($one->passage);
            $passages[] = SheetPassage::of($one, $courses[$own[0][0]], $own, array_map(static fn (array $place): SheetEntry => new SheetEntry($place[1], HomeCare::none(), null), $own));
            foreach ($students as $id => $student) {
                foreach ($own as $place) {
                    $entry = $asked[$id]->entry($student->courses, $place, $next, $model);
                    $isMet = isset($student->courses[$place[0]]->tracks[$student->courses[$place[0]]->form->at($place[1])->id]);
                    $particular = new Particular($courses[$place[0]]->id, $entry, $isMet);
                    if (! $particular->isNothing()) {
                        $particulars[$id][] = $particular;
                    }
                }
            }
        }

        return new self($plan->days, $passages, $particulars);
    }

    public function minutes(): float
    {
        return array_sum(array_map(static fn (SheetPassage $one): float => $one->minutes, $this->passages));
    }
}
