<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use App\Models\Viewer;
use Gorvan\Core\Form\CutPin;
use Gorvan\Core\Form\Edit\SetEntry;
use Gorvan\Core\Lesson\LessonSize;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Pins or bars joins, or says how large or how many the lessons should be; core then cuts again. */
final class ChangeCutting
{
    public function __construct(private readonly CutForm $cut, private readonly ReviseForm $revise)
    {
    }

    /**
     * @param  array<int, CutPin|null>  $pins  by the position before the join
     * @return list<Message> what it moved in running terms
     *
     * @throws \Gorvan\Core\Lesson\CutImpossible and nothing is changed
     */
    public function pins(Form $form, array $pins, ?Viewer $by = null): array
    {
        $score = $form->placed()->form;
        $edits = [];
        foreach ($pins as $after => $pin) {
            if ($after >= $score->count()) {
                throw Refused::because(Message::of('join.none', after: $after), "joins.$after");
            }
            $edits[] = new SetEntry($score->at($after)->id, ['cut' => $pin?->value]);
        }

        return $this->revise->edit($form, null, $edits, $by);
    }

    /** The size of the lessons of no group. Where it cannot be kept, nothing is changed. */
    public function size(Form $form, LessonSize $size): void
    {
        DB::transaction(function () use ($form, $size): void {
            $form->update(self::columns($size, 'target'));
            ($this->cut)($form);
        });
    }

    /**
     * The columns in which a form or a course keeps a size.
     *
     * @param  string  $load  the one of the load
     * @return array<string, float|int|null>
     */
    public static function columns(LessonSize $size, string $load): array
    {
        return [$load => $size->load, 'lesson_count' => $size->count, 'lesson_minutes' => $size->minutes, 'load_minutes' => $size->minutesPerLoad, 'lambda' => $size->lambda];
    }
}
