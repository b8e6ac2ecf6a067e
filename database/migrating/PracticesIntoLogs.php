<?php

declare(strict_types=1);

namespace Database\Migrating;

use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * One school's rows of contact become a log a class: contacts of a lesson `taught`, those that cannot be told apart
 * `reviewed`; logs of empty classes and the ids of withdrawn ones are kept. Marks get the day of their class, and a side
 * only where their entry has sides.
 */
final class PracticesIntoLogs
{
    public function __construct(private readonly stdClass $school)
    {
    }

    public function run(): void
    {
        $made = [];
        $contacts = DB::table('practices')->join('entries', fn ($join) => $join->on('entries.id', 'practices.entry_id')->on('entries.school_id', 'practices.school_id'))
            ->orderBy('entries.position')->get(['practices.*', 'entries.key', 'entries.form_id'])->groupBy('log_id');
        foreach ($contacts as $log => $rows) {
            $first = $rows->firstOrFail();
            $this->log((string) $log, $first->meeting_id, $first, $rows);
            $made[$log] = true;
        }
        foreach (DB::table('meetings')->whereNotNull('log_id')->get() as $meeting) {
            if (! isset($made[$meeting->log_id])) {
                $by = DB::table('users')->where('school_id', $this->school->id)->orderBy('created_at')->value('id');
                $this->log($meeting->log_id, $meeting->id, (object) ['at' => $meeting->starts_at, 'made_by' => $by, 'received_at' => $meeting->updated_at ?? $meeting->starts_at], collect());
                $made[$meeting->log_id] = true;
            }
        }
        $this->withdrawals($made);
        DB::statement('update marks set "on" = meetings."on" from meetings where meetings.school_id = marks.school_id and meetings.id = marks.meeting_id');
        // Core says which entries have sides; a mark that named one where there is none is about the entry.
        foreach (DB::table('entries')->get() as $entry) {
            if ((new FormFileReader)->entry(JsonNode::of(json_decode($entry->score)))->isDoneOnBothSides()) {
                DB::table('entries')->where('id', $entry->id)->update(['sided' => true]);
            } else {
                DB::table('marks')->where('entry_id', $entry->id)->whereNotNull('side')->update(['side' => null]);
            }
        }
    }

    /** @param  Collection<int, stdClass>  $rows */
    private function log(string $id, string $meetingId, stdClass $made, Collection $rows): void
    {
        $meeting = DB::table('meetings')->where('id', $meetingId)->sole();
        $term = DB::table('terms')->where('id', $meeting->term_id)->sole();
        $noted = DB::table('attendances')->where('meeting_id', $meetingId)->where('is_present', true)->pluck('student_id')->all();
        $present = array_values(array_unique([...$rows->pluck('student_id')->all(), ...$noted]));
        $body = [
            'format' => 'gorvan.log/1',
            'id' => $id,
            'meeting' => $meetingId,
            'on' => $meeting->on,
            'made_at' => (new \DateTimeImmutable($made->at))->format('Y-m-d\TH:i:sP'),
            'minutes' => $meeting->minutes,
            'present' => $present,
            'did' => $this->did($rows, $present),
        ];
        DB::table('class_logs')->insert([
            'id' => $id, 'school_id' => $this->school->id, 'group_id' => $term->group_id, 'meeting_id' => $meetingId, 'on' => $meeting->on,
            'body' => json_encode($body, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), 'made_at' => $made->at, 'made_by' => $made->made_by, 'received_at' => $made->received_at,
            'students' => '{'.implode(',', $present).'}',
            'taught' => '{'.implode(',', array_map(static fn (stdClass $row): string => '"'.addcslashes("$row->form_id/$row->key", '"\\').'"', $rows->where('kind', 'taught')->unique('key')->all())).'}',
        ]);
    }

    /**
     * Entries that the same students met in the same way are one doing.
     *
     * @param  Collection<int, stdClass>  $rows
     * @param  list<string>  $present
     * @return list<array<string, mixed>>
     */
    private function did(Collection $rows, array $present): array
    {
        $doings = [];
        foreach ($rows->groupBy(static fn (stdClass $row): string => "$row->form_id|$row->kind|$row->key") as $same) {
            $students = $same->pluck('student_id')->sort()->values()->all();
            $first = $same->firstOrFail();
            $doing = $doings[$key = "$first->form_id|$first->kind|".implode(',', $students)] ?? array_filter([
                'what' => $first->kind === 'taught' ? 'taught' : 'reviewed',
                'form' => $first->form_id,
                'entries' => [],
                'students' => count($students) === count($present) ? null : $students,
            ], static fn (mixed $value): bool => $value !== null);
            $doing['entries'][] = $first->key;
            $doings[$key] = $doing;
        }
        usort($doings, static fn (array $a, array $b): int => $b['what'] <=> $a['what']); // taught before reviewed

        return $doings;
    }

    /** @param  array<string, true>  $logs */
    private function withdrawals(array $logs): void
    {
        $rows = DB::table('withdrawals')->orderBy('received_at')->get();
        $of = $rows->pluck('of', 'id')->all();
        $stands = []; // whether a withdrawal stands
        $find = function (string $id) use (&$find, &$stands, $of): bool {
            if (! array_key_exists($id, $stands)) {
                $stands[$id] = false; // a circle cannot be made, but would end here
                $stands[$id] = array_filter(array_keys($of, $id, true), $find) === [];
            }

            return $stands[$id];
        };
        $gone = [];
        foreach ($rows as $row) {
            $kind = match (true) {
                isset($of[$row->of]) => 'withdrawal',
                DB::table('marks')->where('id', $row->of)->exists() => 'mark',
                default => 'log',
            };
            DB::table('withdrawals')->where('id', $row->id)->update(['kind' => $kind]);
            if ($find($row->id)) {
                $gone[$row->of] = true;
            }
        }
        foreach (array_keys($gone) as $id) {
            DB::table('withdrawn')->insert(['school_id' => $this->school->id, 'id' => $id]);
        }
    }
}
