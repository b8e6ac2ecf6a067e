<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;

/**
 * The recap that leads into a lesson (engine 4): the two entries before it, stretched back to a join with rest of at
 * least 0.6 (or the form's own start) if one lies within four; none for the first lesson. Extras are not counted.
 */
final readonly class RecapFinder
{
    private const ENTRIES = 2;

    private const STRETCH = 4;

    /** @param  list<JoinRest>  $joins */
    public function __construct(private Form $form, private array $joins)
    {
    }

    /** What leads into a lesson that starts at a position, or null when nothing stands before it. */
    public function before(int $lessonStart): ?Passage
    {
        $start = $this->startFor($lessonStart);

        return $start === null ? null : new Passage($start, $lessonStart - 1);
    }

    private function startFor(int $lessonStart): ?int
    {
        $before = [];
        for ($position = $lessonStart - 1; $position >= 1 && count($before) < self::STRETCH; $position--) {
            if ($this->form->at($position)->kind->countsInForm()) {
                $before[] = $position;
            }
        }
        if ($before === []) {
            return null;
        }
        foreach (array_slice($before, self::ENTRIES - 1) as $start) {
            if (($this->joins[$start - 2] ?? null)?->isGood() === true) {
                return $start;
            }
        }

        $first = $before[count($before) - 1];

        return $this->opensTheForm($first) ? $first : $before[self::ENTRIES - 1];
    }

    private function opensTheForm(int $position): bool
    {
        for ($at = $position - 1; $at >= 1; $at--) {
            if ($this->form->at($at)->kind->countsInForm()) {
                return false;
            }
        }

        return true;
    }
}
