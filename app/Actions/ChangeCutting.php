<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use App\Models\Viewer;
use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Edit\KeepLessons;
use Gorvan\Core\Form\Edit\SetEntry;
use Gorvan\Core\Lesson\LessonCutter;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Lesson\OwnLessons;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Pins or bars joins, or says how large or how many the lessons should be; core then cuts again. */
final class ChangeCutting
{
    public function __construct(private readonly ReviseForm $revise, private readonly KeepOwnLessons $keep, private readonly LessonCutter $cutter)
    {
    }

    /**
     * @param  array<int, CutPin|null>  $pins  by the position before the join
     * @param  array<int, bool>  $cuts  likewise, of a form with lessons of its own: whether one ends there; a pinned one does
     * @return list<Message> what it moved in running terms
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible and nothing is changed
     */
    public function pins(Form $form, array $pins, array $cuts = [], ?Viewer $by = null): array
    {
        $score = $form->placed()->form;
        $edits = [];
        foreach ($pins as $after => $pin) {
            if ($after >= $score->count()) {
                throw Refused::because(Message::of('join.none', after: $after), "joins.$after");
            }
            $edits[] = new SetEntry($score->at($after)->id, ['cut' => $pin?->value]);
        }

        if ($score->lessons !== []) {
            $said = array_map(static fn (?CutPin $pin): ?bool => $pin === null ? null : $pin === CutPin::Always, $pins);
            $edits[] = new KeepLessons(OwnLessons::changed($score, array_filter($said, is_bool(...)) + $cuts));
        }

        return $this->revise->edit($form, null, $edits, $by);
    }

    /**
     * The size of the lessons of no group; what that cuts is kept as the form's own. Where it cannot be, nothing is changed.
     *
     * @return list<Message> what it moved in running terms
     */
    public function size(Form $form, LessonSize $size): array
    {
        return DB::transaction(function () use ($form, $size): array {
            $form->update([...self::columns($size, 'target'), 'load_minutes' => $size->minutesPerLoad, 'lesson_movements' => $size->movements]);
            $score = $form->placed()->form;

            return ($this->keep)($form, OwnLessons::kept($score, $form->freshly($this->cutter, $score)->lessons));
        });
    }

    /**
     * The columns in which a form or a course keeps a size; the pace it says is kept apart from it.
     *
     * @param  string  $load  the one of the load
     * @return array<string, float|int|null>
     */
    public static function columns(LessonSize $size, string $load): array
    {
        return [$load => $size->load, 'lesson_count' => $size->count, 'lesson_minutes' => $size->minutes, 'lambda' => $size->lambda];
    }
}
