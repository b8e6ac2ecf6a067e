<?php

declare(strict_types=1);

use App\Actions\GroupStandings;
use App\Actions\TaughtEntries;
use App\Models\Course;
use App\Models\CurrentSchool;
use App\Models\Form;
use App\Models\Group;
use App\Models\LoggedClass;
use App\Models\Meeting;
use App\Models\School;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

// The shape of tables is changed by the role that owns them.
beforeEach(function () {
    config(['database.connections.tables' => ['username' => 'gorvan_tables', 'password' => getenv('GORVAN_TABLES_SECRET')] + config('database.connections.pgsql'), 'database.default' => 'tables']);
    DB::purge('tables');
    DB::beginTransaction();
});
afterEach(function () {
    DB::connection('tables')->rollBack();
    DB::purge('tables');
});

/** Brings a schema of its own to where the migrations of some names lead. */
function migrated(string ...$names): void
{
    foreach ($names as $name) {
        Artisan::call('migrate', ['--force' => true, '--path' => "database/migrations/$name.php"]);
    }
}

test('a form kept before whole scores were kept is the same form afterwards, unknown keys and sections too', function () {
    DB::statement('create schema before_scores');
    DB::statement('set local search_path to before_scores');
    migrated('2026_01_01_000001_create_schools_and_users', '2026_01_01_000002_create_school_rows');
    $school = '01900000-0000-7000-8000-000000000001';
    $form = '01900000-0000-7000-8000-000000000002';
    DB::table('schools')->insert(['id' => $school, 'name' => 'Old', 'timezone' => 'Europe/Berlin', 'created_at' => now(), 'updated_at' => now()]);
    DB::statement("select set_config('gorvan.school', ?, false)", [$school]);
    DB::table('forms')->insert(['id' => $form, 'school_id' => $school, 'title' => 'Old form', 'family' => 'Heron', 'announced' => 2, 'breath_seconds' => 5.5, 'footfall' => 'heel', 'others' => '{"house": {"a": 1}}']);
    DB::table('sections')->insert(['id' => '01900000-0000-7000-8000-000000000003', 'school_id' => $school, 'form_id' => $form, 'title' => 'S', 'first' => 1, 'last' => 2, 'others' => '{"hall": {}}']);
    foreach (['a' => 1, 'b' => 2] as $key => $position) {
        DB::table('entries')->insert(['id' => "01900000-0000-7000-8000-00000000001$position", 'school_id' => $school, 'form_id' => $form, 'position' => $position, 'key' => $key, 'score' => json_encode(['id' => $key, 'kind' => 'movement', 'title' => strtoupper($key)])]);
    }
    migrated('2026_02_01_000001_keep_whole_scores', '2026_11_24_000001_practice_at_home', '2026_11_25_000001_one_model', '2026_11_27_000001_principles', '2026_11_28_000001_care_and_students', '2026_11_29_000001_lessons_and_practice');
    // A lesson that was written before steps of partner drills could be marked has a row for each of them afterwards.
    DB::statement("select set_config('gorvan.school', ?, false)", [$school]);
    DB::table('lessons')->insert(['id' => '01900000-0000-7000-8000-000000000021', 'school_id' => $school, 'form_id' => $form, 'form_version' => 1, 'document' => '{"partner": {"steps": [{"id": "a", "title": "touch"}, {"id": "b", "title": "push"}]}}']);
    DB::table('lessons')->insert(['id' => '01900000-0000-7000-8000-000000000022', 'school_id' => $school, 'form_id' => $form, 'form_version' => 1, 'document' => '{}']);
    migrated('2026_11_30_000001_partners_mail_and_letters', '2026_12_06_000001_what_was_missed', '2026_12_07_000001_lessons_of_a_form');
    DB::statement("select set_config('gorvan.school', ?, false)", [$school]);
    expect(DB::table('drill_steps')->orderBy('key')->pluck('title', 'key')->all())->toBe(['a' => 'touch', 'b' => 'push']);
    $read = app(CurrentSchool::class)->during(School::findOrFail($school), fn () => Form::firstOrFail()->placed()->form);
    expect([$read->title, $read->family, $read->announced, $read->breathSeconds, $read->footfall?->value])->toBe(['Old form', 'Heron', 2, 5.5, 'heel'])
        ->and([$read->sections[0]->title, $read->sections[0]->last])->toBe(['S', 2])
        ->and($read->others['house'])->toEqual((object) ['a' => 1])
        ->and($read->sections[0]->others['hall'])->toEqual(new stdClass)
        ->and(array_map(fn ($entry) => $entry->title, $read->entries))->toBe(['A', 'B'])
        // What was written for no group keeps the cut it was written for; courses keep theirs (below).
        ->and($read->lessons)->toBe([['a', 'b']]);
});

test('a school from before logs, courses and plans stands where it stood, save where a fault is put right', function () {
    DB::statement('create schema before_one_model');
    DB::statement('set local search_path to before_one_model');
    migrated('2026_01_01_000001_create_schools_and_users', '2026_01_01_000002_create_school_rows', '2026_02_01_000001_keep_whole_scores');
    $fixture = fn (string $name): string => (string) gzdecode((string) file_get_contents(__DIR__."/fixtures/before-one-model.$name.gz"));
    preg_match("/INSERT INTO schools .*? VALUES \('([0-9a-f-]+)'/", $fixture('sql'), $m);
    DB::statement("select set_config('gorvan.school', ?, false)", [$m[1]]);
    DB::unprepared($fixture('sql'));
    $logs = DB::table('practices')->distinct()->count('log_id');
    $withdrawn = DB::table('withdrawals')->pluck('of')->all();
    $planned = DB::table('meetings')->whereNotNull('plan')->orderBy('id')->pluck('plan', 'id')->map(fn (string $plan) => json_decode($plan, true))->all();
    migrated('2026_11_24_000001_practice_at_home', '2026_11_25_000001_one_model', '2026_11_27_000001_principles', '2026_11_28_000001_care_and_students', '2026_11_29_000001_lessons_and_practice', '2026_11_30_000001_partners_mail_and_letters', '2026_12_06_000001_what_was_missed', '2026_12_07_000001_lessons_of_a_form');
    $this->clockAt('2026-11-24T15:00:00+00:00');
    $was = json_decode($fixture('json'), true);
    app(CurrentSchool::class)->during(School::findOrFail($m[1]), function () use ($was, $logs, $withdrawn, $planned): void {
        $changed = [];
        foreach ($was['standings'] as $name => $students) {
            $group = Group::where('name', $name)->firstOrFail();
            $placed = $group->form->placed();
            $taught = app(TaughtEntries::class)->by($group->id, $placed, '2026-11-24');
            expect($taught)->toBe($was['taught'][$name]);
            foreach (app(GroupStandings::class)($group, $placed, '2026-11-24') as [$student, $standing]) {
                $old = $students[$student->name];
                foreach ($placed->form->entries as $at => $entry) {
                    $is = $standing->at($at + 1)->whole;
                    [$support, $recall, $holds] = $old['cells'][$entry->id] ?? [null, null, false];
                    if ([$is->support?->name, $is->holds()] !== [$support, $holds] || abs(($is->recall ?? 0.0) - ($recall ?? 0.0)) > 1e-12) {
                        $changed[] = "$name: $student->name, $entry->id";
                    }
                }
                if (! str_starts_with(end($changed) ?: '', "$name: $student->name")) {
                    expect(['frontier' => $standing->frontier(), 'holding' => count($standing->holding()), 'holes' => $standing->holes($taught), 'behind' => $standing->behind($taught)])
                        ->toBe(array_diff_key($old, ['cells' => 1, 'missed' => 1]), "$name: $student->name")
                        // What one evening of review made up for then is missed still (engine 10).
                        ->and(array_diff($old['missed'], $standing->missed($taught)))->toBe([]);
                }
            }
        }
        expect($changed)->toBe([])
            // The one mark that named a side of an entry that has none is about the entry now (engine 6); the one on two sides keeps its side.
            ->and(DB::table('marks')->whereNotNull('side')->pluck('side')->all())->toBe(['left']);
        // Every log is a row, the one of an empty class and those taken back too; no plan is lost.
        expect(LoggedClass::count())->toBe($logs + 1)->and(LoggedClass::whereIn('id', $withdrawn)->count())->toBe(2)
            ->and(LoggedClass::whereJsonLength('body->present', 0)->count())->toBe(1)
            ->and(DB::table('withdrawals')->pluck('kind')->countBy()->all())->toEqualCanonicalizing(['log' => 2, 'mark' => 2, 'withdrawal' => 1])
            ->and(Course::count())->toBe(3)->and(Course::all()->filter(fn (Course $one): bool => $one->takesLessons())->all())->toBe([]);
        foreach (Meeting::whereNotNull('plan')->orderBy('id')->get() as $meeting) {
            $plan = $meeting->planned();
            expect($plan->courses[0]->lesson?->number)->toBe($planned[$meeting->id]['lesson_number'])
                ->and(array_sum($plan->boxes))->toBe($meeting->minutes)
                ->and(count($plan->courses[0]->review))->toBe(count($planned[$meeting->id]['review']))
                ->and(count($plan->courses[0]->lesson->entries ?? []))->toBe(count($planned[$meeting->id]['lesson']['ids'] ?? []));
        }
    });
});

test('the demo as the version before kept it stands as it stood, and logs that were replaced and revived are put right', function () {
    $this->clockAt('2026-12-01T15:00:00+00:00'); // the day the demo was kept
    DB::statement('create schema before_leases');
    DB::statement('set local search_path to before_leases');
    $all = array_map(static fn (string $file): string => basename($file, '.php'), glob(database_path('migrations/*.php')) ?: []);
    $new = '2026_12_03_000001_one_school_a_transaction';
    migrated(...array_filter($all, static fn (string $name): bool => $name < $new));
    $sql = (string) gzdecode((string) file_get_contents(__DIR__.'/fixtures/before-leases.sql.gz'));
    preg_match("/INSERT INTO schools VALUES\s+\('([0-9a-f-]+)'/", $sql, $m);
    $school = $m[1];
    DB::statement("select set_config('gorvan.school', ?, false)", [$school]);
    DB::unprepared($sql);
    $logs = DB::table('class_logs')->whereNotNull('meeting_id')->orderBy('on')->orderBy('id')->get();
    [$first, $other] = [$logs[0], $logs[1]];
    // As the version before wrote it: B replaces A, C replaces B, so that A stands again beside C; and D was replaced by E, which was taken back.
    $log = static function (string $id, object $like): string {
        DB::table('class_logs')->insert(['id' => $id, 'meeting_id' => $like->meeting_id] + (array) $like);

        return $id;
    };
    $back = static fn (string $id, string $of) => DB::table('withdrawals')->insert(['id' => $id, 'school_id' => $school, 'of' => $of, 'kind' => 'log', 'at' => now(), 'made_by' => $first->made_by]);
    [$a, $b, $c] = [$first->id, $log('01KB0000000000000000000000', $first), $log('01KB0000000000000000000001', $first)];
    $back($b, $a);
    $back($c, $b);
    [$d, $e] = [$other->id, $log('01KB0000000000000000000002', $other)];
    $back($e, $d);
    $back('01KB0000000000000000000003', $e);
    DB::table('withdrawn')->insert([['school_id' => $school, 'id' => $b], ['school_id' => $school, 'id' => $e]]); // A and D were revived
    $asked = DB::table('terms')->pluck('plan_asked', 'id')->all();
    $epochs = DB::table('students')->sum('record_epoch');
    migrated($new);
    expect(DB::scalar("select coalesce(current_setting('gorvan.school', true), '')"))->toBe('');
    app(CurrentSchool::class)->during(School::findOrFail($school), function () use ($logs, $first, $other, $a, $b, $c, $d, $e, $asked, $epochs): void {
        $stands = LoggedClass::standing()->whereNotNull('meeting_id')->pluck('id')->all();
        expect($stands)->toEqualCanonicalizing([...$logs->pluck('id')->diff([$a, $d])->values()->all(), $c])
            ->and(DB::table('withdrawn')->pluck('id')->all())->toEqualCanonicalizing([$a, $b, $d, $e])
            // No withdrawal has the id of a log any more, and none was lost.
            ->and(DB::table('withdrawals')->whereIn('id', LoggedClass::pluck('id'))->count())->toBe(0)
            ->and(DB::table('withdrawals')->pluck('of')->all())->toEqualCanonicalizing([$a, $b, $d, $e])
            // What was read out of them is read anew, and the term they weigh on is planned again; the other is not.
            ->and(DB::table('students')->sum('record_epoch'))->toBeGreaterThan($epochs);
        $again = DB::table('terms')->pluck('plan_asked', 'id')->all();
        $touched = DB::table('meetings')->whereIn('id', [$first->meeting_id, $other->meeting_id])->distinct()->pluck('term_id')->all();
        foreach ($again as $term => $times) {
            expect($times - $asked[$term])->toBe(in_array($term, $touched, true) ? 1 : 0);
        }
        expect(DB::table('jobs')->count())->toBe(count($touched))
            // Who was there is found by who they are.
            ->and(DB::table('log_students')->distinct()->count('log_id'))->toBe(LoggedClass::whereNotNull('meeting_id')->count());
    });
    // What marks said of the forecasts goes where it stands beside the students.
    DB::statement("select set_config('gorvan.school', ?, false)", [$school]);
    $measured = DB::table('students')->orderBy('id')->limit(2)->pluck('id')->all();
    DB::table('students')->update(['forecasts' => null]);
    DB::table('students')->whereIn('id', $measured)->update(['forecasts' => '[[1,[2.5]]]']);
    migrated('2026_12_04_000001_what_marks_said_of_forecasts');
    DB::statement("select set_config('gorvan.school', ?, false)", [$school]);
    expect(DB::table('forecast_tests')->orderBy('student_id')->pluck('tests', 'student_id')->all())->toBe(array_fill_keys($measured, '[[1,[2.5]]]'));
});

test('rows are found by what they refer to: every reference leads an index that holds for all rows', function () {
    // The columns of each foreign key but the school, against the first columns of each whole index, the school left out there too.
    $missing = DB::select(<<<'SQL'
        with named as (
            select c.conrelid as tab, c.conname as name, array(select a.attname::text from unnest(c.conkey) k join pg_attribute a on a.attrelid = c.conrelid and a.attnum = k where a.attname not in ('school_id', 'made_by') order by 1) as columns -- nothing is looked up by who made it
            from pg_constraint c where c.contype = 'f' and c.connamespace = current_schema()::regnamespace
        ), found as (
            select i.indrelid as tab, array(select a.attname::text from unnest(i.indkey::int2[]) with ordinality k(num, at) join pg_attribute a on a.attrelid = i.indrelid and a.attnum = k.num where a.attname <> 'school_id' order by k.at) as columns
            from pg_index i where i.indpred is null and i.indisvalid
        )
        select tab::regclass::text as "table", name from named
        where cardinality(columns) > 0 and not exists (
            select from found where found.tab = named.tab and named.columns <@ found.columns[1:cardinality(named.columns)]
        ) order by 1, 2
        SQL);
    expect(array_map(fn (object $one) => "$one->table $one->name", $missing))->toBe([]);
});
