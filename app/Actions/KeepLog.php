<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\LoggedClass;
use App\Models\Student;
use App\Models\Viewer;
use App\Record\Checkpoints;
use DateTimeZone;
use Gorvan\Core\Record\ClassLog;
use Illuminate\Support\Facades\DB;

/** Writes a log into its row; guests it names for the first time become students of no group. */
final class KeepLog
{
    public function __construct(private readonly Checkpoints $checkpoints)
    {
    }

    public function __invoke(string $group, ?string $meeting, ClassLog $log, Viewer $by): void
    {
        foreach ($log->guests as $guest) {
            if (! Student::whereKey($guest->id)->exists()) {
                (new Student)->forceFill(['id' => $guest->id, 'name' => $guest->name])->save();
            }
        }
        $there = $log->there();
        $row = new LoggedClass([
            'group_id' => $group,
            'meeting_id' => $meeting,
            'on' => $log->on,
            'body' => $log->json(),
            'made_at' => $log->madeAt->setTimezone(new DateTimeZone('UTC')),
            'made_by' => $by->authorId(),
            'received_at' => now(),
            'clock_ahead' => Clock::ahead($log->madeAt),
            'students' => self::array($there),
            'taught' => self::array(array_map(static fn (array $one): string => "$one[0]/$one[1]", $log->taught())),
        ]);
        $row->id = $log->id;
        $row->save();
        if ($meeting !== null) {
            DB::table('log_students')->insert(array_map(static fn (string $student): array => ['school_id' => $row->school_id, 'student_id' => $student, 'on' => $log->on, 'log_id' => $log->id], array_values(array_unique($there))));
        }
        if ($this->checkpoints->mayHold($log->on)) {
            $this->checkpoints->discard($there);
        }
    }

    /** @param  list<string>  $values  as PostgreSQL writes an array */
    private static function array(array $values): string
    {
        return '{'.implode(',', array_map(static fn (string $value): string => '"'.addcslashes($value, '"\\').'"', $values)).'}';
    }
}
