<?php

declare(strict_types=1);

/*
 * bin/bench --scale: a school of ten years, first with 10,000 and then with 1,000,000 marks and contacts, asked what the
 * pages ask. Every figure stands beside GET /api/session of the same run. Expects the pages at GORVAN_ADDRESS.
 */

use App\Actions\FillGroup;
use App\Actions\FoundSchool;
use App\Actions\LayTerm;
use App\Actions\NewCourse;
use App\Actions\ReadForm;
use App\Actions\SaveForm;
use App\Actions\SavePrinciples;
use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Meeting;
use App\Models\Term;
use App\Models\User;
use Gorvan\Core\Principle\PrincipleFile;
use Gorvan\Core\Term\Approach;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

const ENTRIES = 108;
const GROUPS = 20;
const MEMBERS = 25;
const TERMS_A_GROUP = 20;
const ROUNDS = 100;

require __DIR__.'/asking.php';

/** The school without a record: forms, groups, a term of each running, and the terms of ten years before it. */
function school(): User
{
    $owner = app(FoundSchool::class)('Bench', 'Europe/Berlin', 'Bench', 'bench@bench.example', PASSWORD);
    app(CurrentSchool::class)->during($owner->school, static function (): void {
        $list = "# Bench\n".implode("\n", array_map(static fn (int $n): string => "$n. Movement ".intdiv($n + 1, 2).($n % 2 === 1 ? ' (L)' : ' (R)'), range(1, ENTRIES)));
        $form = app(SaveForm::class)(app(ReadForm::class)($list)->form);
        $set = app(SavePrinciples::class)(PrincipleFile::read((string) file_get_contents(database_path('principles/ten-three-families.json')))->set, null);
        $today = new DateTimeImmutable('today', new DateTimeZone('Europe/Berlin'));
        for ($n = 1; $n <= GROUPS; $n++) {
            $group = Group::create(['name' => "Group $n", 'form_id' => $form->id, 'principle_set_id' => $set->id]);
            app(FillGroup::class)($group, array_map(static fn (int $m): string => "Student $n.$m", range(1, MEMBERS)), $today->modify('-10 years')->format('Y-m-d'));
            $day = $today->modify('+'.($n <= 4 ? 0 : 1 + $n % 6).' days');
            app(LayTerm::class)($group, 'Now', [
                'from' => $day->modify('-42 days')->format('Y-m-d'), 'to' => $day->modify('+42 days')->format('Y-m-d'),
                'pattern' => [['weekday' => $day->format('D'), 'at' => sprintf('%02d:00', 8 + $n % 12), 'minutes' => 75]], 'closures' => [],
            ], [new NewCourse($form, Approach::PieceByPiece)]);
        }
        // The terms before: as the running one, half a year earlier each.
        DB::statement("insert into terms (id, school_id, group_id, title, starts_on, ends_on, pattern, closures, warnings, planned_at)
            select gen_random_uuid(), school_id, group_id, 'Term ' || k, starts_on - 182 * k, ends_on - 182 * k, pattern, closures, warnings, now() from terms, generate_series(1, ?) k", [TERMS_A_GROUP - 1]);
        DB::statement("insert into courses (school_id, id, term_id, form_id, ordinal, first_entry, last_entry, approach, share, lesson_load, lesson_count, pins, cut, showing)
            select t.school_id, gen_random_uuid(), t.id, c.form_id, c.ordinal, c.first_entry, c.last_entry, c.approach, c.share, c.lesson_load, c.lesson_count, c.pins, c.cut, c.showing
            from terms t join terms n on n.group_id = t.group_id and n.title = 'Now' join courses c on c.term_id = n.id where t.title <> 'Now'");
        DB::statement("insert into meetings (id, school_id, term_id, \"on\", starts_at, minutes)
            select gen_random_uuid(), t.school_id, t.id, m.on - (n.starts_on - t.starts_on), m.starts_at - make_interval(days => n.starts_on - t.starts_on), m.minutes
            from terms t join terms n on n.group_id = t.group_id and n.title = 'Now' join meetings m on m.term_id = n.id where t.title <> 'Now'");
        $crowd = Group::create(['name' => 'Crowd', 'form_id' => $form->id, 'principle_set_id' => $set->id]);
        app(FillGroup::class)($crowd, array_map(static fn (int $m): string => "Crowd $m", range(1, 120)));
        app(LayTerm::class)($crowd, 'Empty', [
            'from' => $today->modify('+1 day')->format('Y-m-d'), 'to' => $today->modify('+84 days')->format('Y-m-d'),
            'pattern' => [['weekday' => 'Mon', 'at' => '07:00', 'minutes' => 60]], 'closures' => [],
        ], [new NewCourse($form, Approach::PieceByPiece)]);
    });

    return $owner;
}

/** Class logs of the meetings that have none yet, the latest first, until they hold about so many contacts; and marks. */
function record(User $owner, int $contacts, int $marks): void
{
    app(CurrentSchool::class)->during($owner->school, static function () use ($owner, $contacts, $marks): void {
        DB::statement(<<<'SQL'
            insert into class_logs (school_id, id, group_id, meeting_id, "on", body, made_at, made_by, students, taught)
            select x.school_id, x.id, x.group_id, x.meeting, x.on, json_build_object('format', 'gorvan.log/1', 'id', x.id, 'meeting', x.meeting, 'on', x.on, 'made_at', to_char(x.starts_at, 'YYYY-MM-DD"T"HH24:MI:SS"Z"'),
                   'minutes', 75, 'present', x.there, 'did', json_build_array(
                     json_build_object('what', 'focus', 'principles', json_build_array((select p.id from principles p where p.ordinal = 1 + mod(extract(doy from x.on)::int / 7, 10))), 'minutes', 8),
                     json_build_object('what', 'reviewed', 'form', x.form_id, 'entries', x.reviewed, 'minutes', 12, 'passes', 3),
                     json_build_object('what', 'taught', 'form', x.form_id, 'entries', x.taught, 'minutes', 22))),
                   x.starts_at + interval '2 hours', ?, x.there, (select array_agg(x.form_id || '/' || e) from unnest(x.taught) e)
            from (select m.school_id, m.id meeting, m.on, m.starts_at, t.group_id, c.form_id, lpad(upper(to_hex(row_number() over (order by m.starts_at, m.id))), 26, '0L') id,
                         (select array_agg(student_id order by student_id) from group_members g where g.group_id = t.group_id) there,
                         (select array_agg(key) from entries e where e.form_id = c.form_id and e.position between 1 + mod(extract(doy from m.on)::int / 7 * 3, 105) and 3 + mod(extract(doy from m.on)::int / 7 * 3, 105)) taught,
                         (select array_agg(key) from entries e where e.form_id = c.form_id and e.position between 1 + mod(extract(doy from m.on)::int / 7 * 5, 102) and 3 + mod(extract(doy from m.on)::int / 7 * 5, 102)) reviewed
                  from meetings m join terms t on t.id = m.term_id join courses c on c.term_id = t.id
                  where m.on < current_date and not exists (select from class_logs l where l.meeting_id = m.id)
                  order by m.starts_at desc limit ?) x
            SQL, [$owner->id, (int) ceil($contacts / (MEMBERS * 6))]);
        DB::statement(<<<'SQL'
            insert into marks (id, school_id, student_id, entry_id, meeting_id, support, at, "on", made_by)
            select 'M' || lpad(upper(to_hex(row_number() over () + (select count(*) from marks))), 25, '0'), x.school_id, x.student, x.entry, x.meeting_id, 1 + mod(x.n, 5), x.made_at, x.on, ?
            from (select l.school_id, s student, e.id entry, l.meeting_id, l.made_at, l.on, row_number() over () n
                  from class_logs l cross join lateral unnest(l.students) s join entries e on e.position in (1 + mod(hashtext(l.id || s)::bigint & 1023, 108), 1 + mod(hashtext(s || l.id)::bigint & 1023, 108), 1 + mod(hashtext(l.id || 'x' || s)::bigint & 1023, 108))
                  where not exists (select from marks k where k.meeting_id = l.meeting_id)) x
            limit ?
            SQL, [$owner->id, $marks]);
        DB::statement('update students set record_epoch = record_epoch + 1');
        DB::statement('delete from checkpoints');
    });
    settle(['marks', 'class_logs', 'withdrawn', 'withdrawals', 'meetings', 'terms', 'students', 'checkpoints', 'checkpoint_tracks']);
}

/**
 * What a database does by itself in the ten years this took: done before anything is measured, not while.
 *
 * @param  list<string>  $tables
 */
function settle(array $tables): void
{
    foreach ($tables as $table) {
        DB::statement("vacuum (analyze) $table");
    }
}

/** @return array<string, list<float>> seconds of each request, a round of all of them at a time */
function measured(Browser $browser, User $owner): array
{
    $asked = app(CurrentSchool::class)->during($owner->school, static function (): array {
        $group = Group::where('name', 'Group 1')->firstOrFail();
        $meeting = Meeting::where('on', app(CurrentSchool::class)->today())->whereIn('term_id', Term::where('group_id', $group->id)->select('id'))->firstOrFail();

        return [
            'group' => $group->id, 'meeting' => $meeting->id, 'crowd' => Group::where('name', 'Crowd')->firstOrFail()->id,
            'term' => $meeting->term_id, 'form' => $group->form_id,
            'students' => $group->students()->limit(20)->pluck('students.id')->all(),
            'entries' => DB::table('entries')->where('form_id', $group->form_id)->whereIn('position', [4, 5, 6])->pluck('id')->all(),
        ];
    });
    $screens = [
        'session' => '/api/session', 'Today' => '/api/today', 'class' => "/api/meetings/{$asked['meeting']}", 'group' => "/api/groups/{$asked['group']}",
        'group of 120' => "/api/groups/{$asked['crowd']}", 'terms' => '/api/terms', 'term' => "/api/terms/{$asked['term']}", 'form' => "/api/forms/{$asked['form']}",
        'principles' => "/api/groups/{$asked['group']}/principles", 'students' => '/api/students', 'student lines' => "/api/groups/{$asked['group']}/lines", 'student' => "/api/students/{$asked['students'][0]}",
        'line' => "/api/students/{$asked['students'][0]}/line?group={$asked['group']}", 'forecast' => '/api/school/forecast',
    ];
    $seconds = [];
    for ($round = -3; $round < ROUNDS; $round++) {
        foreach ($screens as $name => $url) {
            $one = took(static function () use ($browser, $url): void {
                $browser->ask('GET', $url);
            });
            if ($round >= 0) {
                $seconds[$name][] = $one;
            }
        }
        $marks = [];
        foreach ($asked['students'] as $student) {
            foreach ($asked['entries'] as $entry) {
                $marks[] = ['id' => (string) Str::ulid(), 'student' => $student, 'entry' => $entry, 'side' => null, 'support' => 'Alone', 'at' => now()->toRfc3339String()];
            }
        }
        $one = took(static function () use ($browser, $asked, $marks): void {
            $browser->ask('POST', "/api/meetings/{$asked['meeting']}/marks", ['marks' => $marks]);
        });
        if ($round >= 0) {
            $seconds['60 marks'][] = $one;
        }
        // A change by hand that moves a lesson: the whole term is planned again inside the request.
        [$version, $evening] = app(CurrentSchool::class)->during($owner->school, static fn (): array => [
            Term::findOrFail($asked['term'])->plan_asked,
            Meeting::where('term_id', $asked['term'])->where('on', '>', app(CurrentSchool::class)->today())->orderBy('starts_at')->firstOrFail()->id,
        ]);
        $one = took(static function () use ($browser, $asked, $version, $evening, $round): void {
            $browser->ask('POST', "/api/terms/{$asked['term']}/changes", ['version' => $version, 'changes' => [['what' => 'nothing_new', 'meeting' => $evening, 'is' => $round % 2 === 0]]]);
        });
        if ($round >= 0) {
            $seconds['moving'][] = $one;
        }
        // So that no class holds more marks than a class does; only here is anything ever deleted.
        app(CurrentSchool::class)->during($owner->school, static fn () => DB::table('marks')->whereIn('id', array_column($marks, 'id'))->delete());
    }
    printf("   the answer to Today: %.1f kB with four meetings\n", strlen($browser->ask('GET', '/api/today')) / 1000);

    return $seconds;
}

printf("making the school: %.0f s\n", took(static function () use (&$owner): void {
    $owner = school();
}));
DB::statement('alter table marks disable trigger append_only');
$browser = new Browser((string) getenv('GORVAN_ADDRESS'));
$runs = [];
foreach ([10_000 => [7_000, 3_000], 1_000_000 => [690_000, 290_000]] as $size => [$contacts, $marks]) {
    printf('%s marks and contacts, made in %.0f s', number_format($size), took(static fn () => record($owner, $contacts, $marks)));
    [$logs, $held, $marked] = app(CurrentSchool::class)->during($owner->school, static fn (): array => [
        DB::table('class_logs')->count(),
        DB::scalar("select sum(cardinality(students) * (select sum(json_array_length(d->'entries')) from json_array_elements(body->'did') d)) from class_logs"),
        DB::table('marks')->count(),
    ]);
    printf(": %s contacts in %s logs, %s marks\n", number_format((int) $held), number_format($logs), number_format($marked));
    $first = took(static fn () => $browser->ask('GET', '/api/today'));
    printf("   the first Today, every checkpoint made anew: %.0f ms\n", 1000 * $first);
    $runs[$size] = measured($browser, $owner);
}

printf("\n%-14s %28s %28s %20s\n", '', '10,000', '1,000,000', 'growth of x');
printf("%-14s %9s %9s %8s %9s %9s %8s %9s %10s\n", '', 'median', '95 %', 'x', 'median', '95 %', 'x', 'median', 'at 95 %');
[$small, $large] = array_values($runs);
foreach (array_keys($small) as $name) {
    $ratio = static fn (array $run, float $share = 0.95): float => at($share, $run[$name]) / at($share, $run['session']);
    printf(
        "%-14s %6.1f ms %6.1f ms %8.2f %6.1f ms %6.1f ms %8.2f %9.2f %10.2f\n",
        $name,
        1000 * at(0.5, $small[$name]), 1000 * at(0.95, $small[$name]), $ratio($small),
        1000 * at(0.5, $large[$name]), 1000 * at(0.95, $large[$name]), $ratio($large), $ratio($large, 0.5) / $ratio($small, 0.5), $ratio($large) / $ratio($small),
    );
}
echo "x = the 95th percentile beside that of GET /api/session in the same run\n";

$empty = app(CurrentSchool::class)->during($owner->school, static fn (): string => Term::where('title', 'Empty')->firstOrFail()->id);
printf("deleting an empty term: %.0f ms\n", 1000 * took(static fn () => $browser->ask('DELETE', "/api/terms/$empty")));
$form = app(CurrentSchool::class)->during($owner->school, static fn (): string => Group::where('name', 'Group 1')->firstOrFail()->form_id);
printf("changing the cut of a form that 400 terms use: %.0f ms\n", 1000 * took(static fn () => $browser->ask('PUT', "/api/forms/$form/cutting", ['load' => 5.0])));
printf("barring a cut of it: %.0f ms\n", 1000 * took(static fn () => $browser->ask('PUT', "/api/forms/$form/joins", ['joins' => [['after' => 3, 'pin' => 'never']]])));

printf("a million withdrawals, made in %.0f s\n", took(static function () use ($owner): void {
    app(CurrentSchool::class)->during($owner->school, static function () use ($owner): void {
        DB::statement("insert into withdrawals (id, school_id, of, kind, at, made_by)
            select 'W' || lpad(upper(to_hex(k)), 25, '0'), ?, case when k % 2 = 0 then 'M' || lpad(upper(to_hex(k / 2)), 25, '0') else 'X' || lpad(upper(to_hex(k)), 25, '0') end, 'mark', now(), ? from generate_series(1, 1000000) k", [$owner->school_id, $owner->id]);
        DB::statement('insert into withdrawn (school_id, id) select school_id, of from withdrawals on conflict do nothing');
        DB::statement('update students set record_epoch = record_epoch + 1');
        DB::statement('delete from checkpoints');
    });
    settle(['withdrawals', 'withdrawn', 'students', 'checkpoints', 'checkpoint_tracks']);
}));
foreach (['/api/today', '/api/session'] as $url) {
    $browser->ask('GET', $url);
}
$withdrawn = measured($browser, $owner);
foreach (array_keys($withdrawn) as $name) {
    printf("%-14s %6.1f ms %6.1f ms %8.2f\n", $name, 1000 * at(0.5, $withdrawn[$name]), 1000 * at(0.95, $withdrawn[$name]), at(0.95, $withdrawn[$name]) / at(0.95, $withdrawn['session']));
}
