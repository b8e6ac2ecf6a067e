<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use App\Models\User;
use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Edit\SetEntry;
use Gorvan\Core\Lesson\LessonCut;
use Illuminate\Support\Facades\DB;

/** Pins or bars joins, or says how large or how many the lessons should be; core then cuts again. */
final class ChangeCutting
{
    public function __construct(private readonly CutForm $cut, private readonly ReviseForm $revise)
    {
    }

    /**
     * @param  array<int, CutPin|null>  $pins  by the position before the join
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible and nothing is changed
     */
    public function pins(Form $form, array $pins, ?User $by = null): void
    {
        $score = $form->score()->form;
        $edits = [];
        foreach ($pins as $after => $pin) {
            if ($after >= $score->count()) {
                throw Refused::because("There is no join after position $after in this form.", "joins.$after");
            }
            $edits[] = new SetEntry($score->at($after)->id, ['cut' => $pin?->value]);
        }
        $this->revise->edit($form, null, $edits, $by);
    }

    /** @throws \Gorvan\Core\Lesson\CutImpossible and nothing is changed */
    public function size(Form $form, ?float $target, ?int $lessons): LessonCut
    {
        return DB::transaction(function () use ($form, $target, $lessons): LessonCut {
            $form->update(['target' => $target, 'lesson_count' => $lessons]);

            return ($this->cut)($form);
        });
    }
}
