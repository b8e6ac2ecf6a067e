<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Consideration;
use App\Models\CurrentSchool;
use App\Models\GroupMember;
use App\Models\HomePractice;
use App\Models\KeptMail;
use App\Models\Letter;
use App\Models\LoggedClass;
use App\Models\Mark;
use App\Models\Student;
use App\Models\StudentLink;
use App\Models\StudentQuestion;
use App\Models\Withdrawal;
use App\Record\FactSource;
use Gorvan\Core\Record\Contact;
use Illuminate\Support\Facades\DB;

/** Everything one student is recorded with, for when they ask (`gorvan.student/1`): their own, and nothing of anybody else. */
final class ExportStudent
{
    public const FORMAT = 'gorvan.student/1';

    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /** @return array<string, mixed> as JSON has it */
    public function __invoke(Student $student): array
    {
        $records = $student->records();
        $names = DB::table('groups')->where('school_id', $student->school_id)->pluck('name', 'id');

        return [
            'format' => self::FORMAT,
            'made_at' => now()->setTimezone($this->school->zone())->toRfc3339String(),
            'school' => $this->school->get()->name,
            'name' => $student->name,
            'groups' => GroupMember::whereIn('student_id', $records)->orderBy('joined_on')->get()->map(static fn (GroupMember $one): array => ['group' => $names[$one->group_id] ?? '', 'joined' => $one->joined_on, 'left' => $one->left_on])->all(),
            'classes' => $this->classes($records, $names->all()),
            'marks' => $this->marks($student, $records),
            'at_home' => HomePractice::whereIn('student_id', $records)->orderBy('on')->orderBy('at')->get()->map(static fn (HomePractice $one): array => [
                'on' => $one->on, 'minutes' => $one->minutes, 'from_memory' => $one->from_memory, 'taken_back' => $one->withdrawn_at !== null,
            ])->all(),
            'questions' => StudentQuestion::whereIn('student_id', $records)->orderBy('at')->get()->map(static fn (StudentQuestion $one): array => ['at' => $one->at->toRfc3339String(), 'text' => $one->text, 'answer' => $one->answer])->all(),
            'considerations' => Consideration::whereIn('student_id', $records)->orderBy('created_at')->get()->map(static fn (Consideration $one): array => $one->isReadable() ? get_object_vars($one->noted()->toData()) : ['unreadable' => true])->all(),
            'address' => array_values(array_filter([array_filter(['email' => $student->email, 'size' => $student->size?->value], is_string(...))])),
            'links' => StudentLink::withCount('devices')->whereIn('student_id', $records)->orderBy('made_at')->get()->map(static fn (StudentLink $one): array => ['made' => $one->made_at->toRfc3339String(), 'until' => $one->expires_at->toRfc3339String(), 'ended' => $one->revoked_at?->toRfc3339String(), 'devices' => (int) $one->getAttribute('devices_count')])->all(),
            'letters' => $this->letters($records),
            'mails' => KeptMail::whereIn('student_id', $records)->orderBy('sent_at')->get()->map(static fn (KeptMail $one): array => ['at' => $one->sent_at->toRfc3339String(), 'to' => $one->address, 'subject' => KeptMail::opened($one->subject) ?? ''])->all(),
        ];
    }

    /**
     * @param  list<string>  $records
     * @return list<array<string, mixed>>
     */
    private function letters(array $records): array
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Letter> $letters */
        $letters = Letter::with('term')->whereIn('student_id', $records)->orderBy('created_at')->get();

        return array_values($letters->map(static fn (Letter $one): array => ['term' => $one->term->title, 'text' => $one->text, 'sent' => $one->sent_at?->toRfc3339String()])->all());
    }

    /**
     * @param  list<string>  $records
     * @param  array<string, string>  $groups  names
     * @return list<array<string, mixed>> the classes they came to, the earliest first, with what each was for them
     */
    private function classes(array $records, array $groups): array
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, LoggedClass> $logs */
        $logs = LoggedClass::standing()->whereNotNull('meeting_id')->whereRaw('students && ?::uuid[]', [FactSource::list($records)])->orderBy('on')->orderBy('made_at')->get();
        $titles = [];
        foreach (DB::table('entries')->where('school_id', $this->school->id())->selectRaw("form_id, key, document->>'title' as title")->get() as $row) {
            $titles[$row->form_id][$row->key] = $row->title;
        }
        $principles = DB::table('principles')->where('school_id', $this->school->id())->pluck('title', 'id');
        $classes = [];
        foreach ($logs as $row) {
            $log = $row->log();
            foreach (array_intersect($records, $log->there()) as $record) {
                $classes[] = [
                    'on' => $row->on, 'group' => $groups[$row->group_id] ?? '',
                    'did' => array_values(array_map(static fn (Contact $contact): array => ['what' => $contact->kind->value, 'of' => $contact->form === null ? $principles[$contact->id] ?? $contact->id : $titles[$contact->form][$contact->id] ?? $contact->id, ...($contact->side === null ? [] : ['side' => $contact->side->value])], $log->contactsOf($record))),
                ];
            }
        }

        return $classes;
    }

    /**
     * @param  list<string>  $records
     * @return list<array<string, mixed>> those that were taken back too, and say so
     */
    private function marks(Student $student, array $records): array
    {
        $rows = Mark::whereIn('student_id', $records)->orderBy('at')->get();
        $titles = DB::table('entries')->where('school_id', $student->school_id)->whereIn('id', $rows->pluck('entry_id')->filter()->unique())->selectRaw("id, document->>'title' as title")->pluck('title', 'id');
        $principles = DB::table('principles')->where('school_id', $student->school_id)->whereIn('id', $rows->pluck('principle_id')->filter()->unique())->pluck('title', 'id');
        $steps = DB::table('drill_steps')->where('school_id', $student->school_id)->whereIn('id', $rows->pluck('drill_step_id')->filter()->unique())->pluck('title', 'id');
        $gone = DB::table('withdrawn')->where('school_id', $student->school_id)->whereIn('id', Withdrawal::whereIn('of', $rows->pluck('id'))->pluck('of'))->pluck('id')->flip();

        return array_values($rows->map(static fn (Mark $mark): array => [
            'at' => $mark->at->toRfc3339String(), 'on' => $mark->on,
            'of' => $titles[$mark->principle_id === null ? $mark->entry_id : null] ?? $principles[$mark->principle_id] ?? $steps[$mark->drill_step_id] ?? '',
            ...($mark->principle_id === null || $mark->entry_id === null ? [] : ['in' => $titles[$mark->entry_id] ?? '']),
            ...($mark->side === null ? [] : ['side' => $mark->side->value]),
            'seen' => $mark->level()->name, 'taken_back' => isset($gone[$mark->id]),
        ])->all());
    }
}
