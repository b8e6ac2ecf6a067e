<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Attendance;
use App\Models\Meeting;
use App\Models\Viewer;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Notes who is there, before the class is logged. Who is not named keeps what was noted before. */
final class TakeAttendance
{
    /** @param  array<string, bool>  $present by student id */
    public function __invoke(Meeting $meeting, array $present, Viewer $by): void
    {
        if ($meeting->standingLog() !== null) {
            throw Refused::conflict(Message::of('log.attendance'));
        }
        $members = $meeting->term->group->membersSince($meeting->on)->pluck('name', 'id');
        foreach (array_keys($present) as $student) {
            if (! $members->has($student)) {
                throw Refused::because(Message::of('students.not_in_group'), "present.$student");
            }
        }
        DB::transaction(static function () use ($meeting, $present, $by): void {
            foreach ($present as $student => $isPresent) {
                Attendance::updateOrCreate(
                    ['meeting_id' => $meeting->id, 'student_id' => $student],
                    ['is_present' => $isPresent, 'made_by' => $by->authorId()],
                );
            }
        });
    }
}
