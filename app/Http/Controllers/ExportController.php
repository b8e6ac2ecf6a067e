<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ExportGroup;
use App\Actions\ExportStudent;
use App\Models\Group;
use App\Models\Student;
use App\People\GroupTable;
use App\People\RecordKind;
use App\People\Requests\GroupTableQuery;
use App\People\Requests\StudentRecordQuery;
use App\Shared\Description\Operation;
use App\Words;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** What leaves the school as files: a group as tables, and everything one student is recorded with, when they ask. */
final class ExportController extends Controller
{
    #[Operation('groupTable', 'A group as CSV: where everyone stands, or who came')]
    public function table(GroupTableQuery $asked, Group $group, ExportGroup $export): Response
    {

        return $this->file($asked->of === GroupTable::Standings ? $export->standings($group) : $export->attendance($group), "$group->name-{$asked->of->value}", 'csv', 'text/csv; charset=utf-8');
    }

    #[Operation('studentRecord', 'Everything one student is recorded with, as gorvan.student/1 or to be read')]
    public function record(StudentRecordQuery $asked, Student $student, ExportStudent $export): Response
    {
        $as = $asked->as ?? RecordKind::Json;
        $record = $export($student);
        $text = $as === RecordKind::Json
            ? json_encode($record, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n"
            : view('record', ['record' => $record, 'say' => static fn (string $code, mixed ...$with): string => Words::has($code) ? Words::of(Message::of($code, ...$with)) : $code])->render();

        return $this->file($text, $student->name, $as->value, $as === RecordKind::Json ? 'application/json' : 'text/html; charset=utf-8');
    }

    private function file(string $text, string $name, string $kind, string $type): Response
    {
        return response($text, 200, ['Content-Type' => $type, 'Content-Disposition' => 'attachment; filename="'.(Str::slug($name) ?: 'file').".$kind\""]);
    }
}
