<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\LoggedClass;
use App\Models\Student;
use Gorvan\Core\Reading\CsvText;
use Gorvan\Core\Standing\Attendance;
use Gorvan\Core\Standing\EntryStanding;

/** A group as tables for a spreadsheet: where everyone stands, and who came to which class. */
final class ExportGroup
{
    public function __construct(private readonly CurrentSchool $school, private readonly GroupStandings $standings)
    {
    }

    /** A row for each student and each entry they have met. */
    public function standings(Group $group): string
    {
        $placed = $group->form->placed();
        $rows = [['student', 'position', 'number', 'title', 'seen', 'recall', 'holds', 'assumed']];
        foreach (($this->standings)($group, $placed, $this->school->today()) as [$student, $standing]) {
            foreach (array_filter($standing->noted(), static fn (EntryStanding $one): bool => $one->whole->isMet()) as $one) {
                $entry = $placed->form->at($one->position);
                $rows[] = [$student->name, (string) $one->position, (string) $entry->number, $entry->title, $one->whole->support->name ?? '', $one->whole->recall === null ? '' : (string) round($one->whole->recall, 4), $one->whole->holds() ? 'yes' : 'no', $one->whole->isAssumed() ? 'yes' : 'no'];
            }
        }

        return CsvText::of($rows);
    }

    /** A row for each student, a column for each class that was logged: there, away, or not in the group yet. */
    public function attendance(Group $group): string
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, LoggedClass> $logs */
        $logs = LoggedClass::standing()->where('group_id', $group->id)->whereNotNull('meeting_id')->orderBy('on')->orderBy('made_at')->get();
        $classes = array_values($logs->map(static fn (LoggedClass $row): array => [$row->on, $row->log()->there()])->all());
        /** @var \Illuminate\Database\Eloquent\Collection<int, Student> $students */
        $students = $group->students()->withPivot('joined_on')->orderBy('name')->get();
        $rows = [['student', ...array_values($logs->map(static fn (LoggedClass $row): string => $row->on)->all()), 'came', 'classes']];
        foreach ($students as $student) {
            $attendance = Attendance::of($classes, $student->records(), (string) $student->getRelation('pivot')->getAttribute('joined_on'));
            $cells = array_map(static fn (?bool $one): string => match ($one) {
                true => 'there', false => 'away', null => '',
            }, $attendance->each);
            $rows[] = [$student->name, ...$cells, (string) $attendance->came(), (string) $attendance->classes()];
        }

        return CsvText::of($rows);
    }
}
