<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;

/**
 * What a term came to for a whole group in one form: what is firm (holds for at least half of them), what wants more time
 * (taught, and holds for fewer), and what comes next. Nobody is named. Pure.
 */
final readonly class GroupResult
{
    /**
     * @param  int  $taught  movements taught so far
     * @param  int  $movements  of the form
     * @param  float  $holding  movements that hold for a student, on average
     * @param  list<Passage>  $firm
     * @param  list<Passage>  $more
     * @param  Passage|null  $next  what is taught next; null where all of the target was
     */
    private function __construct(public int $taught, public int $movements, public float $holding, public array $firm, public array $more, public ?Passage $next)
    {
    }

    /**
     * @param  list<StudentStanding>  $standings
     * @param  list<int>  $taught  positions taught to the group
     * @param  list<list<int>>  $lessons  positions of the entries of each lesson, in order
     */
    public static function of(Form $form, array $standings, array $taught, array $lessons): self
    {
        $isMovement = static fn (int $position): bool => $form->at($position)->kind === EntryKind::Movement;
        $movements = array_values(array_filter(range(1, $form->count()), $isMovement));
        $known = array_values(array_filter($taught, $isMovement));
        $firm = $more = [];
        $holding = 0;
        foreach ($known as $position) {
            $holds = count(array_filter($standings, static fn (StudentStanding $one): bool => $one->at($position)->whole->holds()));
            $holding += $holds;
            if (2 * $holds >= count($standings) && $holds > 0) {
                $firm[] = $position;
            } else {
                $more[] = $position;
            }
        }

        return new self(count($known), count($movements), $standings === [] ? 0.0 : $holding / count($standings), $form->runsOfMovements($firm), $form->runsOfMovements($more), self::next($form, $taught, $lessons));
    }

    /**
     * What of the first lesson that is not taught whole is still to come.
     *
     * @param  list<int>  $taught
     * @param  list<list<int>>  $lessons
     */
    private static function next(Form $form, array $taught, array $lessons): ?Passage
    {
        foreach ($lessons as $lesson) {
            $left = array_values(array_filter($lesson, static fn (int $position): bool => $form->at($position)->kind->countsInForm() && ! in_array($position, $taught, true)));
            if ($left !== []) {
                return new Passage($left[0], $left[count($left) - 1]);
            }
        }

        return null;
    }
}
