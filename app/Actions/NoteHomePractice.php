<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Entry;
use App\Models\HomePractice;
use App\Models\Student;
use App\Record\Checkpoints;
use DateTimeImmutable;
use Gorvan\Core\Practice\HomeDay;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;

/** Notes that a student practised at home, under the id their phone made; it is a contact and never a mark (engine 6). */
final class NoteHomePractice
{
    /** A day of one student: more is a phone that repeats itself. */
    private const MOST = 20;

    public function __construct(private readonly CurrentSchool $school, private readonly Checkpoints $checkpoints)
    {
    }

    /**
     * @param  string  $on  the day it claims `Y-m-d`
     * @param  list<string>  $entries  rows
     */
    public function __invoke(Student $student, string $id, string $on, DateTimeImmutable $at, ?int $minutes, ?bool $fromMemory, array $entries): HomePractice
    {
        $known = HomePractice::find($id);
        if ($known !== null) {
            return $this->own($known, $student); // sent twice, since an answer was lost
        }
        if (HomePractice::where('student_id', $student->id)->where('received_at', '>', now()->subDay())->count() >= self::MOST) {
            throw Refused::because(Message::of('home.too_many', most: self::MOST));
        }
        $there = Entry::whereIn('id', $entries)->whereNotNull('position')->pluck('id')->all();
        $day = Day::text(HomeDay::of(Day::number($on), Day::number($this->school->today())));
        // Two tabs may send the same note at once: the database takes the first.
        $isNew = HomePractice::insertOrIgnore([
            'school_id' => $this->school->id(), 'id' => $id, 'student_id' => $student->id, 'on' => $day, 'at' => $at->format('Y-m-d H:i:s.uP'), 'received_at' => now()->format('Y-m-d H:i:s.uP'), 'minutes' => $minutes, 'from_memory' => $fromMemory,
            'entries' => '{'.implode(',', $there).'}', 'clock_ahead' => Clock::ahead($at),
        ]) === 1;
        if ($isNew) {
            $this->outdate($student, $day);
        }

        return $this->own(HomePractice::findOrFail($id), $student);
    }

    /** @throws Refused where it is somebody else's */
    private function own(HomePractice $note, Student $student): HomePractice
    {
        return $note->student_id === $student->id ? $note : throw Refused::conflict(Message::of('home.reused'), 'id');
    }

    public function takeBack(HomePractice $note, Student $student): void
    {
        if ($note->withdrawn_at === null) {
            $note->update(['withdrawn_at' => now()]);
            $this->outdate($student, $note->on);
        }
    }

    private function outdate(Student $student, string $day): void
    {
        if ($this->checkpoints->mayHold($day)) {
            $this->checkpoints->discard([$student->id]);
        }
    }
}
