<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Care\Spared;
use Gorvan\Core\Memory\MemoryModel;

/** What one student takes home from a meeting, over all forms of the term (engine 18). Immutable. */
final readonly class PracticeSheet
{
    /**
     * @param  list<int>  $days  ({@see \Gorvan\Core\Reading\Day})
     * @param  list<SheetPassage>  $passages
     */
    private function __construct(public array $days, public array $passages)
    {
    }

    /**
     * @param  list<HomeCourse>  $courses
     * @param  int  $on  the day of the meeting before, and `next` of the one after it
     */
    public static function of(array $courses, Spared $spared, int $on, int $next, float $minutes, int $days, MemoryModel $model = new MemoryModel): self
    {
        return self::asked($courses, HomeRequest::of($courses, $spared, $on, $next, $minutes, $days, $model), $next, $model);
    }

    /** @param  list<HomeCourse>  $courses */
    public static function asked(array $courses, HomeRequest $asked, int $next, MemoryModel $model): self
    {
        $plan = (new PracticePlanner($model))->together([$asked->request], [$asked->prospects]);

        return new self($plan->days, array_map(static function (PracticePassage $one) use ($asked, $courses, $next, $model): SheetPassage {
            $own = $asked->placesOf($one->passage);
            $course = $courses[$own[0][0]];

            return SheetPassage::of($one, $course, $own, array_map(static fn (array $place): SheetEntry => $asked->entry($courses, $place, $next, $model), $own));
        }, $plan->passages));
    }

    public function minutes(): float
    {
        return array_sum(array_map(static fn (SheetPassage $one): float => $one->minutes, $this->passages));
    }
}
