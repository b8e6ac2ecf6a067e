<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Lesson\LessonCut;
use Illuminate\Support\Facades\DB;

/** Pins or bars joins, or says how large or how many the lessons should be; core then cuts again. */
final class ChangeCutting
{
    public function __construct(private readonly CutForm $cut)
    {
    }

    /**
     * @param  array<int, CutPin|null>  $pins  by the position before the join
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible and nothing is changed
     */
    public function pins(Form $form, array $pins): LessonCut
    {
        return DB::transaction(function () use ($form, $pins): LessonCut {
            foreach ($pins as $after => $pin) {
                $entry = $form->entries()->where('position', $after)->first();
                if ($entry === null || $after >= $form->entries()->count()) {
                    throw Refused::because("There is no join after position $after in this form.", "joins.$after");
                }
                $score = clone $entry->score;
                if ($pin === null) {
                    unset($score->cut);
                } else {
                    $score->cut = $pin->value;
                }
                $entry->update(['score' => $score]);
            }

            return ($this->cut)($form);
        });
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
