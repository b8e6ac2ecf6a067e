<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ExportGroup;
use App\Actions\ExportStudent;
use App\Http\OpenApi\Reads;
use App\Models\Group;
use App\Models\Student;
use App\Words;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** What leaves the school as files: a group as tables, and everything one student is recorded with, when they ask. */
final class ExportController extends Controller
{
    #[Reads('/api/groups/{group}/table', 'groupTable', 'A group as CSV: where everyone stands, or who came', query: ['of!' => 'enum:standings,attendance'])]
    public function table(Request $request, Group $group, ExportGroup $export): Response
    {
        $of = $request->validate(['of' => ['required', 'in:standings,attendance']])['of'];

        return $this->file($of === 'standings' ? $export->standings($group) : $export->attendance($group), "$group->name-$of", 'csv', 'text/csv; charset=utf-8');
    }

    #[Reads('/api/students/{student}/record', 'studentRecord', 'Everything one student is recorded with, as gorvan.student/1 or to be read', query: ['as' => 'enum:json,html'])]
    public function record(Request $request, Student $student, ExportStudent $export): Response
    {
        $as = $request->validate(['as' => ['nullable', 'in:json,html']])['as'] ?? 'json';
        $record = $export($student);
        $text = $as === 'json'
            ? json_encode($record, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n"
            : view('record', ['record' => $record, 'say' => static fn (string $code, mixed ...$with): string => Words::has($code) ? Words::of(Message::of($code, ...$with)) : $code])->render();

        return $this->file($text, $student->name, $as, $as === 'json' ? 'application/json' : 'text/html; charset=utf-8');
    }

    private function file(string $text, string $name, string $kind, string $type): Response
    {
        return response($text, 200, ['Content-Type' => $type, 'Content-Disposition' => 'attachment; filename="'.(Str::slug($name) ?: 'file').".$kind\""]);
    }
}
