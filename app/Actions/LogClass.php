<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Meeting;
use App\Models\Practice;
use App\Models\Score;
use App\Models\User;
use App\Models\Withdrawal;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Logs a class that went as planned: who was there was taught the lesson and practised what was reviewed. Who was not
 * noted as away was there.
 */
final class LogClass
{
    public function __construct(private readonly CurrentSchool $school, private readonly PlanTerm $plan, private readonly TakeAttendance $attendance)
    {
    }

    /** @param  string  $log a ULID made by the client; the same one twice changes nothing */
    public function __invoke(Meeting $meeting, string $log, DateTimeImmutable $at, User $by): void
    {
        DB::transaction(function () use ($meeting, $log, $at, $by): void {
            // Two devices may log the same class at once: the second one waits, and then sees the first.
            $this->append(Meeting::lockForUpdate()->findOrFail($meeting->id), $log, $at, $by);
        });
    }

    private function append(Meeting $meeting, string $log, DateTimeImmutable $at, User $by): void
    {
        if ($meeting->on > $this->school->today()) {
            throw Refused::because('This meeting is still to come. Log it on its day or after.');
        }
        if ($meeting->log_id === $log) {
            return;
        }
        if ($meeting->log_id !== null) {
            throw Refused::conflict('This class has been logged already. Take the log back to log it again.');
        }
        if (Practice::where('log_id', $log)->exists() || Withdrawal::where('of', $log)->exists()) {
            throw Refused::conflict('This log has an id that was used before. Log the class again.');
        }
        if ($meeting->plan === null) {
            throw Refused::because('This meeting has no plan, so there is nothing to log.');
        }
        $present = $this->present($meeting, $by);
        $score = $meeting->term->form->score();
        $rows = [];
        foreach ($this->contacts($meeting, $score) as $position => $kind) {
            foreach ($present as $student) {
                $rows[] = [
                    'id' => (string) Str::uuid7(),
                    'school_id' => $meeting->school_id,
                    'log_id' => $log,
                    'student_id' => $student,
                    'entry_id' => $score->idAt($position),
                    'meeting_id' => $meeting->id,
                    'kind' => $kind,
                    'at' => $at->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d H:i:s.uP'),
                    'made_by' => $by->id,
                ];
            }
        }
        foreach (array_chunk($rows, 500) as $chunk) {
            Practice::insert($chunk);
        }
        $meeting->update(['log_id' => $log]);
        ($this->plan)($meeting->term);
    }

    /** @return list<string> the students who were there, each now noted */
    private function present(Meeting $meeting, User $by): array
    {
        $noted = $meeting->attendances()->pluck('is_present', 'student_id');
        $present = $unnoted = [];
        foreach ($meeting->term->group->students as $student) {
            if (! $noted->has($student->id)) {
                $unnoted[$student->id] = true;
            }
            if ($noted->get($student->id, true)) {
                $present[] = $student->id;
            }
        }
        ($this->attendance)($meeting, $unnoted, $by);

        return $present;
    }

    /** @return array<int, 'taught'|'practice'> by position */
    private function contacts(Meeting $meeting, Score $score): array
    {
        $plan = $meeting->plan ?? [];
        $review = is_array($plan['review'] ?? null) ? $plan['review'] : [];
        $contacts = [];
        foreach ([$plan['recap'] ?? null, $plan['run_through'] ?? null, ...array_values($review)] as $stored) {
            foreach ($score->positions($stored) as $position) {
                $contacts[$position] = 'practice';
            }
        }
        foreach ($score->positions($plan['lesson'] ?? null) as $position) {
            $contacts[$position] = 'taught';
        }

        return $contacts;
    }
}
