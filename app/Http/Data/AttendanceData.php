<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Attendance;
use App\Models\LoggedClass;
use App\Models\Meeting;
use Gorvan\Core\Record\Guest;

/** Whether a student was there, and how. */
final readonly class AttendanceData
{
    /**
     * @param  float|null  $late  minutes after the start at which they came, and `left` at which they went
     * @param  string|null  $at  when it was noted; null where a log says it
     */
    public function __construct(
        public bool $isHere,
        public bool $isCareful,
        public bool $isFirstTime,
        public ?float $late,
        public ?float $left,
        public ?string $at,
    ) {
    }

    /**
     * Who was there: as the log says, or as is noted so far. Who is not named was said nothing of.
     *
     * @return array<string, self> by student
     */
    public static function of(Meeting $meeting, ?LoggedClass $logged): array
    {
        if ($logged === null) {
            return $meeting->attendances->mapWithKeys(static fn (Attendance $one): array => [$one->student_id => new self(
                $one->is_present, $one->is_careful, $one->is_first_time, $one->late, $one->left, $one->noted_at?->toRfc3339String(true),
            )])->all();
        }
        $log = $logged->log();
        $all = array_fill_keys($meeting->term->group->membersSince($meeting->on)->pluck('id')->all(), new self(false, false, false, null, null, null));
        $first = array_map(static fn (Guest $guest): string => $guest->id, array_filter($log->guests, static fn (Guest $guest): bool => $guest->isFirstTime));
        foreach ($log->there() as $student) {
            $all[$student] = new self(true, in_array($student, $log->careful, true), in_array($student, $first, true), $log->late[$student] ?? null, $log->left[$student] ?? null, null);
        }

        return $all;
    }
}
