<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;

/** Cuts a form into the lessons of no group, as its own page shows them. Courses have cuts of their own. */
final class CutForm
{
    public function __construct(private readonly LessonCutter $cutter)
    {
    }

    /** @throws \Gorvan\Core\Lesson\CutImpossible and nothing is changed */
    public function __invoke(Form $form): LessonCut
    {
        $form->unsetRelations();
        $cut = $form->cut($this->cutter);
        $form->update(['lessons' => count($cut->lessons), 'load' => $cut->totalLoad()]);

        return $cut;
    }
}
