<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/**
 * A form takes lessons for its own: from then on "lesson 6" is the same for every group that takes them (engine 4). The score stays
 * as it is, so this makes no version of it.
 */
final class KeepOwnLessons
{
    public function __construct(private readonly CutForm $cut, private readonly RecutCourses $recut, private readonly LessonCutter $cutter)
    {
    }

    /**
     * @param  list<list<string>>  $lessons  each as the ids of its entries
     * @return list<Message> what it moved in running terms
     */
    public function __invoke(Form $form, array $lessons): array
    {
        return DB::transaction(function () use ($form, $lessons): array {
            Form::lockForUpdate()->findOrFail($form->id);
            $isSame = $form->own_lessons === $lessons;
            $form->update(['own_lessons' => $lessons]);
            ($this->cut)($form);

            return $isSame ? [] : ($this->recut)($form, isOnlyOfForm: true);
        });
    }

    /**
     * Keeps the lessons it is cut into now, where it has none of its own yet.
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible and nothing is changed
     */
    public function asTheyAre(Form $form): void
    {
        if ($form->own_lessons === null) {
            $placed = $form->placed();
            $this($form, OwnLessons::kept($placed->form, $form->cut($this->cutter, $placed)->lessons));
        }
    }
}
