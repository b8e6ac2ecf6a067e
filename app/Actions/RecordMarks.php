<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\DrillStep;
use App\Models\Entry;
use App\Models\LoggedClass;
use App\Models\Mark;
use App\Models\Meeting;
use App\Models\Principle;
use App\Models\Viewer;
use App\Record\Checkpoints;
use DateTimeZone;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/**
 * Appends marks, all or nothing. A mark that is there already with the same content changes nothing; with other
 * content it is refused.
 */
final class RecordMarks
{
    public function __construct(private readonly Checkpoints $checkpoints)
    {
    }

    /** @param  list<NewMark>  $marks */
    public function __invoke(Meeting $meeting, array $marks, Viewer $by): void
    {
        DB::transaction(function () use ($meeting, $marks, $by): void {
            $rows = $this->rows($meeting, $marks, $by);
            $students = array_values(array_unique(array_map(static fn (NewMark $mark): string => $mark->student, $marks)));
            $this->checkpoints->hold($students);
            foreach (array_chunk(array_values($rows), 500) as $chunk) {
                Mark::insertOrIgnore($chunk);
            }
            $this->compare($rows, $marks);
            MeasureTrust::outdated($students);
            if ($this->checkpoints->mayHold($meeting->on)) {
                $this->checkpoints->discard($students);
            }
        });
    }

    /**
     * @param  list<NewMark>  $marks
     * @return array<string, array<string, mixed>> by id
     */
    private function rows(Meeting $meeting, array $marks, Viewer $by): array
    {
        $students = array_flip($this->students($meeting));
        $sided = Entry::whereIn('form_id', Course::where('term_id', $meeting->term_id)->select('form_id'))
            ->whereIn('id', array_values(array_unique(array_filter(array_map(static fn (NewMark $mark): ?string => $mark->entry, $marks)))))->toBase()->pluck('sided', 'id')->all();
        $principles = array_flip($this->principles($meeting, $marks));
        $steps = array_flip($this->steps($meeting, $marks));
        $rows = [];
        foreach ($marks as $at => $mark) {
            if (! isset($students[$mark->student])) {
                throw Refused::because(Message::of('mark.student', nth: $at + 1), "marks.$at.student");
            }
            if ($mark->principle !== null && ! isset($principles[$mark->principle])) {
                throw Refused::because(Message::of('mark.principle', nth: $at + 1), "marks.$at.principle");
            }
            if ($mark->step !== null && ($mark->entry !== null || $mark->principle !== null || ! isset($steps[$mark->step]))) {
                throw Refused::because(Message::of('mark.step', nth: $at + 1), "marks.$at.step");
            }
            if ($mark->entry === null ? $mark->principle === null && $mark->step === null : ! isset($sided[$mark->entry])) {
                throw Refused::because(Message::of('mark.entry', nth: $at + 1), "marks.$at.entry");
            }
            if ($mark->side !== null && ($mark->principle !== null || ($sided[$mark->entry] ?? false) !== true)) {
                throw Refused::because(Message::of('mark.side', nth: $at + 1), "marks.$at.side");
            }
            $row = $this->row($meeting, $mark, $by);
            if (($rows[$mark->id] ?? $row) !== $row) {
                throw $this->reused($at);
            }
            $rows[$mark->id] = $row;
        }

        return $rows;
    }

    /**
     * Which principles may be marked: those of the set the group works with, also once they were taken out of it.
     *
     * @param  list<NewMark>  $marks
     * @return list<string>
     */
    private function principles(Meeting $meeting, array $marks): array
    {
        $named = array_values(array_unique(array_filter(array_map(static fn (NewMark $mark): ?string => $mark->principle, $marks))));

        return $named === [] ? [] : array_values(Principle::whereIn('id', $named)->where('set_id', $meeting->term->group->principle_set_id)->pluck('id')->all());
    }

    /**
     * Which steps of partner drills may be marked: those of the forms of the term.
     *
     * @param  list<NewMark>  $marks
     * @return list<string>
     */
    private function steps(Meeting $meeting, array $marks): array
    {
        $named = array_values(array_unique(array_filter(array_map(static fn (NewMark $mark): ?string => $mark->step, $marks))));

        return $named === [] ? [] : array_values(DrillStep::whereIn('id', $named)
            ->whereHas('lesson', static fn ($lesson) => $lesson->whereIn('form_id', Course::where('term_id', $meeting->term_id)->select('form_id')))->pluck('id')->all());
    }

    /**
     * Who may be marked: whoever is in the group, or was there.
     *
     * @return list<string>
     */
    private function students(Meeting $meeting): array
    {
        $logged = LoggedClass::where('meeting_id', $meeting->id)->toBase()->select(DB::raw('unnest(students) as student'))->pluck('student');

        $noted = $meeting->attendances()->where('is_present', true)->pluck('student_id')->all();

        return array_map(strval(...), array_values([...$meeting->term->group->membersSince($meeting->on)->pluck('id')->all(), ...$noted, ...$logged->all()]));
    }

    /** @return array<string, mixed> */
    private function row(Meeting $meeting, NewMark $mark, Viewer $by): array
    {
        return [
            'id' => $mark->id,
            'school_id' => $meeting->school_id,
            'student_id' => $mark->student,
            'entry_id' => $mark->entry,
            'principle_id' => $mark->principle,
            'drill_step_id' => $mark->step,
            'meeting_id' => $meeting->id,
            'on' => $meeting->on,
            'side' => $mark->side?->value,
            'support' => $mark->level->value,
            'at' => $mark->at->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d H:i:s.uP'),
            'made_by' => $by->authorId(),
            'clock_ahead' => Clock::ahead($mark->at),
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
                && $found->principle_id === $mark->principle
                && $found->drill_step_id === $mark->step
                && $found->side === $mark->side
                && $found->support === $mark->level->value
                && $found->at == $mark->at;
            if (! $same) {
                throw $this->reused($at);
            }
        }
    }

    private function reused(int $at): Refused
    {
        return Refused::conflict(Message::of('mark.reused', nth: $at + 1), "marks.$at.id");
    }
}
