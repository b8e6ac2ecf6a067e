<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Attendance;
use App\Models\Meeting;
use App\Models\Student;
use App\Models\Viewer;
use DateTimeImmutable;
use DateTimeZone;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Someone comes to a class who is in no group of it; the id was made on the device. Sent twice, it is one guest. */
final class AddGuest
{
    /** More guests than this is another group. */
    private const MOST = 60;

    public function __invoke(Meeting $meeting, string $id, string $name, bool $isFirstTime, DateTimeImmutable $at, Viewer $by): void
    {
        DB::transaction(static function () use ($meeting, $id, $name, $isFirstTime, $at, $by): void {
            Meeting::lockForUpdate()->findOrFail($meeting->id);
            if (Attendance::where('meeting_id', $meeting->id)->where('student_id', $id)->exists()) {
                return; // sent twice
            }
            if ($meeting->standingLog() !== null) {
                throw Refused::conflict(Message::of('log.attendance'));
            }
            if (Attendance::where('meeting_id', $meeting->id)->whereNotIn('student_id', $meeting->term->group->students()->select('students.id'))->count() >= self::MOST) {
                throw Refused::because(Message::of('guest.too_many', most: self::MOST), 'name');
            }
            $known = Student::find($id);
            if ($known === null) {
                (new Student)->forceFill(['id' => $id, 'name' => $name])->save();
            } elseif ($known->name !== $name) {
                throw Refused::conflict(Message::of('guest.reused'), 'id');
            }
            Attendance::create([
                'meeting_id' => $meeting->id, 'student_id' => $id, 'is_present' => true, 'is_first_time' => $isFirstTime,
                'noted_at' => $at->setTimezone(new DateTimeZone('UTC')), 'made_by' => $by->authorId(),
            ]);
        });
    }
}
