<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\CurrentSchool;
use App\Models\HomePractice;
use App\Models\LoggedClass;
use App\Models\Mark;
use App\Models\Student;
use DateTimeImmutable;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Record\ClassLog;
use Gorvan\Core\Record\Contact;
use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\FactKind;
use Gorvan\Core\Record\Keeping;
use Gorvan\Core\Record\Subject;
use Gorvan\Core\Record\SubjectKind;
use Gorvan\Core\Record\Support;
use stdClass;

/** The facts of some students as core takes them: marks, and contacts read out of the logs. What was withdrawn stays in the database. */
final class FactSource
{
    public function __construct(private readonly CurrentSchool $school, private readonly EntryRows $entries)
    {
    }

    /**
     * @param  list<string>  $students
     * @param  int|null  $after  only facts of later days
     * @param  int  $until  only facts of days up to this one
     * @return array<string, list<Fact>> by student, in no order
     */
    public function of(array $students, ?int $after, int $until): array
    {
        $facts = array_fill_keys($students, []);
        $owners = $this->owners($students);
        $records = array_map(strval(...), array_keys($owners));
        $zone = $this->school->zone();
        foreach ($this->marks($records, $after, $until) as $row) {
            $at = new DateTimeImmutable($row->at);
            $day = $row->on !== null ? Day::number($row->on) : Fact::dayFor(Day::of($at, $zone), Day::of(new DateTimeImmutable($row->received_at), $zone));
            if ($day <= $until && ($after === null || $day > $after)) {
                $facts[$owners[$row->student_id]][] = self::mark($row, $day, $at);
            }
        }
        foreach ($this->atHome($records, $after, $until) as $row) {
            foreach ($row->practised() as $entry) {
                $facts[$owners[$row->student_id]][] = Fact::contact("$row->id/$entry", FactKind::Home, Subject::entry($entry), Day::number($row->on), $row->at->toDateTimeImmutable());
            }
        }
        $logs = $this->logs($records, $after, $until);
        $this->entries->load(array_merge([], ...array_map(static fn (ClassLog $log): array => array_values(array_filter(array_column($log->did, 'form'))), $logs)));
        foreach ($logs as $log) {
            $day = Day::number($log->on);
            foreach (array_intersect($log->there(), $records) as $record) {
                $student = $owners[$record];
                foreach ($log->contactsOf($record) as $at => $contact) {
                    $subject = $this->subject($contact);
                    if ($subject !== null) {
                        $facts[$student][] = Fact::contact($record === $student ? "$log->id/$at" : "$log->id/$at/$record", $contact->kind, $subject, $day, $log->madeAt, $contact->side);
                    }
                }
            }
        }

        return $facts;
    }

    /**
     * Under which records students stand: their own, and those of people who turned out to be them. Such a record has nothing
     * of its own as long as it is somebody else's.
     *
     * @param  list<string>  $students
     * @return array<string, string> student by record
     */
    private function owners(array $students): array
    {
        $list = self::list($students);
        $joined = Student::whereNotNull('same_as')->where(static fn ($any) => $any->whereRaw('same_as = any(?::uuid[])', [$list])->orWhereRaw('id = any(?::uuid[])', [$list]))->toBase()->pluck('same_as', 'id')->all();

        return [...array_diff_key(array_combine($students, $students), $joined), ...array_intersect($joined, $students)];
    }

    private static function mark(stdClass $row, int $day, DateTimeImmutable $at): Fact
    {
        return match (true) {
            $row->principle_id !== null => Fact::mark($row->id, Subject::principle($row->principle_id), $day, $at, Keeping::from($row->support)),
            $row->drill_step_id !== null => Fact::mark($row->id, Subject::drillStep($row->drill_step_id), $day, $at, Support::from($row->support)),
            default => Fact::mark($row->id, Subject::entry($row->entry_id), $day, $at, Support::from($row->support), Side::tryFrom((string) $row->side)),
        };
    }

    private function subject(Contact $contact): ?Subject
    {
        if ($contact->of === SubjectKind::Principle) {
            return Subject::principle($contact->id);
        }
        $row = $contact->form === null ? null : $this->entries->idOf($contact->form, $contact->id);

        return $row === null ? null : Subject::entry($row);
    }

    /**
     * @param  list<string>  $students
     * @return iterable<stdClass>
     */
    private function marks(array $students, ?int $after, int $until): iterable
    {
        return Mark::standing()->whereRaw('student_id = any(?::uuid[])', [self::list($students)])
            ->where(static fn ($day) => $day->whereNull('on')->orWhere(static fn ($on) => $on->where('on', '<=', Day::text(min($until, 2_000_000)))->when($after !== null, static fn ($later) => $later->where('on', '>', Day::text((int) $after)))))
            ->toBase()->get(['id', 'student_id', 'entry_id', 'principle_id', 'drill_step_id', 'side', 'support', 'at', 'on', 'received_at']);
    }

    /**
     * @param  list<string>  $students
     * @return iterable<HomePractice>
     */
    private function atHome(array $students, ?int $after, int $until): iterable
    {
        return HomePractice::whereRaw('student_id = any(?::uuid[])', [self::list($students)])->whereNull('withdrawn_at')
            ->where('on', '<=', Day::text(min($until, 2_000_000)))
            ->when($after !== null, static fn ($later) => $later->where('on', '>', Day::text((int) $after)))
            ->get(['id', 'school_id', 'student_id', 'on', 'at', 'entries']);
    }

    /**
     * @param  list<string>  $students
     * @return list<ClassLog>
     */
    private function logs(array $students, ?int $after, int $until): array
    {
        return array_values(LoggedClass::standing()->whereRaw('students && ?::uuid[]', [self::list($students)])
            ->where('on', '<=', Day::text(min($until, 2_000_000)))
            ->when($after !== null, static fn ($later) => $later->where('on', '>', Day::text((int) $after)))
            ->get(['id', 'school_id', 'body'])->map(static fn (LoggedClass $row): ClassLog => $row->log())->all());
    }

    /**
     * As PostgreSQL writes a list: one value, which it reads sooner than as many as there are students.
     *
     * @param  list<string>  $ids
     */
    public static function list(array $ids): string
    {
        return '{'.implode(',', $ids).'}';
    }
}
