<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Attendance;
use App\Models\Meeting;
use App\Models\Viewer;
use DateTimeZone;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/**
 * Notes who is there, before the class is logged. Who is not named keeps what was noted before; of two notes the later one
 * stands, in whatever order they come in.
 */
final class TakeAttendance
{
    /** @param  array<string, Noted>  $noted  by student id */
    public function __invoke(Meeting $meeting, array $noted, Viewer $by): void
    {
        if ($meeting->standingLog() !== null) {
            throw Refused::conflict(Message::of('log.attendance'));
        }
        $known = [...$meeting->term->group->membersSince($meeting->on)->pluck('id')->all(), ...$meeting->attendances()->pluck('student_id')->all()];
        foreach (array_keys($noted) as $student) {
            if (! in_array($student, $known, true)) {
                throw Refused::because(Message::of('students.not_in_group'), "attendance.$student");
            }
        }
        DB::transaction(static function () use ($meeting, $noted, $by): void {
            // Two devices may note the same evening at once.
            Meeting::lockForUpdate()->findOrFail($meeting->id);
            $kept = $meeting->attendances()->get()->keyBy('student_id');
            foreach ($noted as $student => $note) {
                $before = $kept[$student] ?? null;
                if ($before?->noted_at !== null && $before->noted_at > $note->at) {
                    continue;
                }
                Attendance::updateOrCreate(['meeting_id' => $meeting->id, 'student_id' => $student], [
                    'is_present' => $note->isHere,
                    'is_careful' => $note->isCareful,
                    'late' => $note->late,
                    'left' => $note->left,
                    'noted_at' => $note->at->setTimezone(new DateTimeZone('UTC')),
                    'made_by' => $by->authorId(),
                ]);
            }
        });
    }
}
