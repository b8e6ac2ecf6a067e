<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Straining;
use Gorvan\Core\Memory\Draw;

/**
 * Where a class is stopped to look at it, and what for (engine 11): drawn, so that nobody can prepare for it, by a draw that can
 * be repeated. Nobody is frozen on one leg, in what strains, or in what was only just shown.
 */
final readonly class StopCheck
{
    /**
     * @param  StopFocus|null  $focus  what to look for; null where it is a principle of tonight
     * @param  string|null  $principle  by id
     */
    private function __construct(public string $entry, public ?StopFocus $focus, public ?string $principle = null)
    {
    }

    /**
     * Where tonight's class may be stopped: in what is reviewed and run through, in order of the form.
     *
     * @param  list<string>  $known  entries the group was taught before tonight
     * @return list<string> entries
     */
    public static function points(Form $form, CoursePlan $plan, array $known, Straining $straining = new Straining): array
    {
        $touched = [...$plan->runThrough];
        foreach ($plan->review as $review) {
            $touched = [...$touched, ...$review->entries];
        }
        $isKnown = array_fill_keys(array_diff($known, $plan->given()), true);
        $points = [];
        foreach ($form->positionsOf($touched) as $position) {
            $entry = $form->at($position);
            if (isset($isKnown[$entry->id]) && $entry->kind->countsInForm() && $straining->of($entry) === []) {
                $points[] = $entry->id;
            }
        }

        return $points;
    }

    /**
     * @param  list<string>  $points
     * @param  int  $draw  from 1
     * @param  list<string>  $principles  tonight's focus, if it has one
     * @return self|null null where there is nowhere to stop
     */
    public static function draw(string $meeting, int $draw, array $points, array $principles = []): ?self
    {
        if ($points === []) {
            return null;
        }
        $u = Draw::of("$meeting|$draw");
        $entry = $points[(int) floor($u * count($points))];
        $pick = Draw::of("$meeting|$draw|focus");
        $focuses = StopFocus::cases();

        return $principles === [] ? new self($entry, $focuses[(int) floor($pick * count($focuses))]) : new self($entry, null, $principles[(int) floor($pick * count($principles))]);
    }
}
