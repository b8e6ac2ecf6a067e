<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\Mark;
use App\Models\Meeting;
use App\Models\User;
use DateTimeZone;
use Illuminate\Support\Facades\DB;

/**
 * Appends marks, all or nothing. A mark that is there already with the same content changes nothing; with other
 * content it is refused.
 */
final class RecordMarks
{
    /** @param  list<NewMark>  $marks */
    public function __invoke(Meeting $meeting, array $marks, User $by): void
    {
        DB::transaction(function () use ($meeting, $marks, $by): void {
            $students = $meeting->term->group->students->pluck('id')->flip();
            $entries = Entry::where('form_id', $meeting->term->form_id)->pluck('id')->flip();
            $rows = [];
            foreach ($marks as $at => $mark) {
                if (! $students->has($mark->student)) {
                    throw Refused::because('Mark '.($at + 1).' names a student who is not in this group. Nothing was saved.', "marks.$at.student");
                }
                if (! $entries->has($mark->entry)) {
                    throw Refused::because('Mark '.($at + 1).' names an entry that is not in this form. Nothing was saved.', "marks.$at.entry");
                }
                $row = $this->row($meeting, $mark, $by);
                if (($rows[$mark->id] ?? $row) !== $row) {
                    throw $this->reused($at);
                }
                $rows[$mark->id] = $row;
            }
            foreach (array_chunk(array_values($rows), 500) as $chunk) {
                Mark::insertOrIgnore($chunk);
            }
            $this->compare($rows, $marks);
        });
    }

    /** @return array<string, mixed> */
    private function row(Meeting $meeting, NewMark $mark, User $by): array
    {
        return [
            'id' => $mark->id,
            'school_id' => $meeting->school_id,
            'student_id' => $mark->student,
            'entry_id' => $mark->entry,
            'meeting_id' => $meeting->id,
            'side' => $mark->side?->value,
            'support' => $mark->support->value,
            'at' => $mark->at->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d H:i:s.uP'),
            'made_by' => $by->id,
        ];
    }

    /**
     * What stands in the record now, ours or sent before, must say what was sent.
     *
     * @param  array<string, array<string, mixed>>  $rows
     * @param  list<NewMark>  $marks
     */
    private function compare(array $rows, array $marks): void
    {
        $kept = Mark::whereIn('id', array_keys($rows))->get()->keyBy('id');
        foreach ($marks as $at => $mark) {
            $found = $kept[$mark->id] ?? null;
            $same = $found !== null
                && $found->student_id === $mark->student
                && $found->entry_id === $mark->entry
                && $found->side === $mark->side?->value
                && $found->support === $mark->support
                && $found->at == $mark->at;
            if (! $same) {
                throw $this->reused($at);
            }
        }
    }

    private function reused(int $at): Refused
    {
        return Refused::conflict('Mark '.($at + 1).' has an id that was used for another mark. Nothing was saved; mark again to make a new one.', "marks.$at.id");
    }
}
