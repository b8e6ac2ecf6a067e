<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Attendance;
use App\Models\Meeting;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Notes who was there. Who is not named keeps what was noted before. */
final class TakeAttendance
{
    /** @param  array<string, bool>  $present by student id */
    public function __invoke(Meeting $meeting, array $present, User $by): void
    {
        if ($meeting->log_id !== null) {
            throw Refused::conflict('This class has been logged. Take the log back first, then change who was there.');
        }
        $members = $meeting->term->group->students->pluck('name', 'id');
        foreach (array_keys($present) as $student) {
            if (! $members->has($student)) {
                throw Refused::because('That student is not in this group.', "present.$student");
            }
        }
        DB::transaction(static function () use ($meeting, $present, $by): void {
            foreach ($present as $student => $isPresent) {
                Attendance::updateOrCreate(
                    ['meeting_id' => $meeting->id, 'student_id' => $student],
                    ['is_present' => $isPresent, 'made_by' => $by->id],
                );
            }
        });
    }
}
