<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use App\Models\Term;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Lesson\LessonCutter;
use Illuminate\Support\Facades\DB;

/** Cuts a form into lessons with its pins and bars, keeps the lessons, and lays running terms anew. */
final class CutForm
{
    public function __construct(private readonly LessonCutter $cutter, private readonly PlanTerm $plan)
    {
    }

    /** @throws \Gorvan\Core\Lesson\CutImpossible and nothing is changed */
    public function __invoke(Form $form): LessonCut
    {
        return DB::transaction(function () use ($form): LessonCut {
            $form->unsetRelations();
            $cut = $form->cut($this->cutter);
            $form->lessons()->delete();
            foreach ($cut->lessons as $at => $lesson) {
                $form->lessons()->create(['ordinal' => $at + 1, 'first' => $lesson->from, 'last' => $lesson->to, 'load' => $lesson->load]);
            }
            foreach (Term::where('form_id', $form->id)->get() as $term) {
                ($this->plan)($term);
            }

            return $cut;
        });
    }
}
