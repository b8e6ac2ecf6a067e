<?php

declare(strict_types=1);

/*
 * bin/bench --scale: a school of ten years, first with 10,000 and then with 1,000,000 marks and contacts, and then beside 800
 * other schools, asked every GET there is. Every figure stands beside GET /api/session of the same run. Then what the tests
 * heard of statements is explained on these data. Expects the pages at GORVAN_ADDRESS; bin/bench does what only the
 * superuser may where it is asked to by a line on standard output ("@others ID", "@settle").
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
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

const ENTRIES = 108;
const GROUPS = 20;
const MEMBERS = 25;
const TERMS_A_GROUP = 20;
/** A server that was just started compiles what it runs often only in the first of these, and is not measured in them. */
const WARMING = 20;
const ROUNDS = 60;
const OTHERS = 800;

/** What a page may take beside an empty signed-in request, at the 95th percentile; and bytes of an answer. */
const MOST = 6.0;
const MOST_BYTES = 150_000;

/** What is measured beside what pages ask: it writes, and has no bound here. */
const WRITTEN = ['60 marks', 'moving a lesson'];

/** What no page asks but somebody downloads: it has as much as there is. */
const FILES = ['students/{student}/record', 'groups/{group}/calendar', 'groups/{group}/table', 'forms/{form}/file', 'forms/{form}/lessons-file'];

require __DIR__.'/asking.php';

/** Where it is morning now: the day of the school must not end while it is measured. */
function morning(): string
{
    $ahead = 9 - (int) gmdate('G');
    $ahead += $ahead < -12 ? 24 : 0;

    return $ahead === 0 ? 'Etc/GMT' : sprintf('Etc/GMT%+d', -$ahead); // the signs of these names are turned round
}

/** The school without a record: forms, groups, a term of each running, and the terms of ten years before it. */
function school(): User
{
    $owner = app(FoundSchool::class)('Bench', morning(), 'Bench', 'bench@bench.example', PASSWORD);
    app(CurrentSchool::class)->during($owner->school, static function (): void {
        $list = "# Bench\n".implode("\n", array_map(static fn (int $n): string => "$n. Movement ".intdiv($n + 1, 2).($n % 2 === 1 ? ' (L)' : ' (R)'), range(1, ENTRIES)));
        $form = app(SaveForm::class)(app(ReadForm::class)($list)->form);
        $set = app(SavePrinciples::class)(PrincipleFile::read((string) file_get_contents(database_path('principles/ten-three-families.json')))->set, null);
        $today = new DateTimeImmutable('today', new DateTimeZone(morning()));
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
                         (select array_agg(key) from entries e where e.form_id = c.form_id and e.position between 1 + mod(extract(doy from m.on)::int / 7 * 3, f.entries - 3) and 3 + mod(extract(doy from m.on)::int / 7 * 3, f.entries - 3)) taught,
                         (select array_agg(key) from entries e where e.form_id = c.form_id and e.position between 1 + mod(extract(doy from m.on)::int / 7 * 5, f.entries - 6) and 3 + mod(extract(doy from m.on)::int / 7 * 5, f.entries - 6)) reviewed
                  from meetings m join terms t on t.id = m.term_id join courses c on c.term_id = t.id
                  cross join lateral (select count(*)::int as entries from entries e where e.form_id = c.form_id) f
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
        DB::statement('insert into log_students (school_id, student_id, "on", log_id) select distinct l.school_id, s, l.on, l.id from class_logs l cross join lateral unnest(l.students) s where l.school_id = ? and l.meeting_id is not null on conflict do nothing', [$owner->school_id]);
        DB::statement('update students set record_epoch = record_epoch + 1');
        DB::statement('delete from checkpoints');
    });
    asSuperuser('settle');
}

/** A school of the ordinary kind, of which the others are copies: a form, two groups of twelve, half a term with logs and marks. */
function small(): User
{
    $owner = app(FoundSchool::class)('Small', morning(), 'Small', 'small@bench.example', PASSWORD);
    app(CurrentSchool::class)->during($owner->school, static function (): void {
        $form = app(SaveForm::class)(app(ReadForm::class)("# Small\n".implode("\n", array_map(static fn (int $n): string => "$n. Movement $n", range(1, 36))))->form);
        $today = new DateTimeImmutable('today', new DateTimeZone(morning()));
        foreach ([1, 2] as $n) {
            $group = Group::create(['name' => "Group $n", 'form_id' => $form->id]);
            app(FillGroup::class)($group, array_map(static fn (int $m): string => "Student $n.$m", range(1, 12)), $today->modify('-1 year')->format('Y-m-d'));
            app(LayTerm::class)($group, 'Now', [
                'from' => $today->modify('-42 days')->format('Y-m-d'), 'to' => $today->modify('+42 days')->format('Y-m-d'),
                'pattern' => [['weekday' => $today->format('D'), 'at' => sprintf('%02d:00', 17 + $n), 'minutes' => 75]], 'closures' => [],
            ], [new NewCourse($form, Approach::PieceByPiece)]);
        }
    });
    record($owner, 12 * 6 * 12, 600);

    return $owner;
}

/**
 * Every GET that the application answers, with ids of this school; what needs more than an id has it here.
 *
 * @return array<string, string> address by route
 */
function asked(User $owner): array
{
    return app(CurrentSchool::class)->during($owner->school, static function (): array {
        $group = Group::where('name', 'Group 1')->firstOrFail();
        $meeting = Meeting::where('on', app(CurrentSchool::class)->today())->whereIn('term_id', Term::where('group_id', $group->id)->select('id'))->firstOrFail();
        $student = $group->students()->orderBy('students.id')->firstOrFail();
        $ids = [
            'group' => $group->id, 'meeting' => $meeting->id, 'term' => $meeting->term_id, 'form' => $group->form_id, 'student' => $student->id, 'number' => '3',
            'principleSet' => $group->principle_set_id,
        ];
        $more = [
            'api/find' => '?find=stu', 'api/forms/{form}/difference' => '?from=1&to=1', 'api/students/{student}/curve' => '?entry='.DB::table('entries')->where('form_id', $group->form_id)->where('position', 4)->value('id'),
            'api/students/{student}/line' => "?group=$group->id", 'api/meetings/{meeting}/pods' => '?count=2', 'api/groups/{group}/table' => '?of=standings', 'api/forms/{form}/prices' => '?moving=3',
            'api/groups/{group}/book' => '?find=movement',
        ];
        $asked = ['session' => '/api/session'];
        foreach (Route::getRoutes() as $route) {
            $uri = $route->uri();
            // Pairs need a drill, which this school has none of.
            if (in_array('GET', $route->methods(), true) && str_starts_with($uri, 'api/') && ! in_array($uri, ['api/session', 'api/meetings/{meeting}/pairs'], true)) {
                $asked[substr($uri, 4)] = '/'.strtr($uri, array_combine(array_map(static fn (string $name): string => '{'.$name.'}', array_keys($ids)), $ids)).($more[$uri] ?? '');
            }
        }

        return [...$asked, 'groups of 120' => '/api/groups/'.Group::where('name', 'Crowd')->firstOrFail()->id];
    });
}

/** @return array<string, list<float>> seconds of each request, a round of all of them at a time */
function measured(Browser $browser, User $owner): array
{
    $asked = asked($owner);
    $seconds = [];
    foreach ($asked as $name => $url) {
        try {
            $browser->ask('GET', $url);
        } catch (RuntimeException $e) {
            echo "   not measured: {$e->getMessage()}\n";
            unset($asked[$name]);
        }
    }
    for ($round = -WARMING; $round < ROUNDS; $round++) {
        foreach ($asked as $name => $url) {
            $one = took(static function () use ($browser, $url): void {
                $browser->ask('GET', $url);
            });
            if ($round >= 0) {
                $seconds[$name][] = $one;
            }
        }
        foreach ($round < -2 ? [] : written($browser, $owner, $round) as $name => $one) {
            if ($round >= 0) {
                $seconds[$name][] = $one;
            }
        }
    }

    return $seconds;
}

/** @return array<string, float> seconds of what is written in a round */
function written(Browser $browser, User $owner, int $round): array
{
    [$meeting, $students, $entries, $term, $version, $evening] = app(CurrentSchool::class)->during($owner->school, static function (): array {
        $group = Group::where('name', 'Group 1')->firstOrFail();
        $meeting = Meeting::where('on', app(CurrentSchool::class)->today())->whereIn('term_id', Term::where('group_id', $group->id)->select('id'))->firstOrFail();

        return [
            $meeting->id, $group->students()->limit(20)->pluck('students.id')->all(), DB::table('entries')->where('form_id', $group->form_id)->whereIn('position', [4, 5, 6])->pluck('id')->all(),
            $meeting->term_id, Term::findOrFail($meeting->term_id)->plan_asked, Meeting::where('term_id', $meeting->term_id)->where('on', '>', app(CurrentSchool::class)->today())->orderBy('starts_at')->firstOrFail()->id,
        ];
    });
    $marks = [];
    foreach ($students as $student) {
        foreach ($entries as $entry) {
            $marks[] = ['id' => (string) Str::ulid(), 'student' => $student, 'entry' => $entry, 'side' => null, 'support' => 'Alone', 'at' => now()->toRfc3339String()];
        }
    }
    $took['60 marks'] = took(static fn () => $browser->ask('POST', "/api/meetings/$meeting/marks", ['marks' => $marks]));
    // A change by hand that moves a lesson: the whole term is planned again inside the request.
    $took['moving a lesson'] = took(static fn () => $browser->ask('POST', "/api/terms/$term/changes", ['version' => $version, 'changes' => [['what' => 'nothing_new', 'meeting' => $evening, 'is' => $round % 2 === 0]]]));
    // So that no class holds more marks than a class does; only here is anything ever deleted.
    app(CurrentSchool::class)->during($owner->school, static fn () => DB::table('marks')->whereIn('id', array_column($marks, 'id'))->delete());

    return $took;
}

/** Has bin/bench do something as the superuser, and waits until it has. */
function asSuperuser(string $what): void
{
    echo "@$what\n";
    fgets(STDIN);
}

/**
 * Explains what the tests heard, with no values, on the data that are here.
 *
 * @return list<string> statements that read a whole table of a million rows
 */
function wholeTables(User $owner): array
{
    $heard = [];
    foreach (glob(base_path('var/statements/*.jsonl')) ?: [] as $file) {
        foreach (file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
            $heard[json_decode($line, false, 2, JSON_THROW_ON_ERROR)] = true;
        }
    }
    $large = array_column(DB::select("select relname from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace and reltuples > 5000"), 'relname');
    $whole = [];
    $explained = 0;
    foreach (array_keys($heard) as $nth => $sql) {
        $count = 0;
        $numbered = (string) preg_replace_callback('/(?<![?@])\?(?![?|&])/', static function () use (&$count): string {
            return '$'.++$count;
        }, $sql);
        try {
            $plan = app(CurrentSchool::class)->during($owner->school, static function () use ($numbered, $count, $nth): array {
                $pdo = DB::connection()->getPdo();
                $pdo->exec('set local plan_cache_mode = force_generic_plan');
                $pdo->exec("prepare heard_$nth as $numbered");

                return $pdo->query("explain (format json) execute heard_$nth".($count === 0 ? '' : '('.implode(', ', array_fill(0, $count, 'null')).')'))->fetchAll(PDO::FETCH_COLUMN);
            });
        } catch (PDOException $e) {
            continue; // of a number or a type that nothing says, or of a table of no school
        }
        $explained++;
        preg_match_all('/"Node Type": "Seq Scan",.*?"Relation Name": "(\w+)"/s', (string) $plan[0], $found);
        if (array_intersect($found[1], $large) !== []) {
            $whole[] = implode(', ', array_unique(array_intersect($found[1], $large))).': '.substr($sql, 0, 160);
        }
    }
    printf("%d of %d distinct statements of the tests explained\n", $explained, count($heard));

    return $whole;
}

/**
 * @param  array<string, array<string, list<float>>>  $runs
 */
function told(array $runs): void
{
    printf('%-38s', '');
    foreach (array_keys($runs) as $name) {
        printf(' %26s', $name);
    }
    printf("\n%-38s", '');
    foreach ($runs as $run) {
        printf(' %9s %9s %6s', 'median', '95 %', 'x');
    }
    echo "\n";
    $last = end($runs);
    uksort($last, static fn (string $a, string $b): int => at(0.95, $last[$b]) <=> at(0.95, $last[$a]));
    foreach (array_keys($last) as $name) {
        printf('%-38s', $name);
        foreach ($runs as $run) {
            printf(' %6.1f ms %6.1f ms %6.2f', 1000 * at(0.5, $run[$name]), 1000 * at(0.95, $run[$name]), at(0.95, $run[$name]) / at(0.95, $run['session']));
        }
        $x = at(0.95, $last[$name]) / at(0.95, $last['session']);
        echo match (true) {
            in_array($name, WRITTEN, true) => "  writes\n",
            $x > MOST => "  over\n",
            default => "\n",
        };
    }
    echo "x = the 95th percentile beside that of GET /api/session in the same run\n";
}

printf("making the school: %.0f s\n", took(static function () use (&$owner): void {
    $owner = school();
}));
asSuperuser('free');
$browser = new Browser((string) getenv('GORVAN_ADDRESS'));
$runs = [];
foreach ((getenv('GORVAN_ONLY_LARGE') === false ? ['10,000 facts' => [7_000, 3_000]] : []) + ['1,000,000 facts' => [690_000, 290_000]] as $size => [$contacts, $marks]) {
    printf('%s, made in %.0f s', $size, took(static fn () => record($owner, $contacts, $marks)));
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

printf("%d other schools, made in %.0f s\n", OTHERS, took(static function (): void {
    asSuperuser('others '.small()->school_id);
}));
asSuperuser('settle');
$runs['beside '.OTHERS.' schools'] = measured($browser, $owner);
echo "\n";
told($runs);

$sizes = array_map(static fn (string $url): int => strlen($browser->ask('GET', $url)), array_intersect_key(asked($owner), end($runs)));
arsort($sizes);
echo "\nthe largest answers:\n";
foreach (array_slice($sizes, 0, 12) as $name => $bytes) {
    printf("   %-38s %6.1f kB%s\n", $name, $bytes / 1000, match (true) {
        in_array($name, FILES, true) => '  a file',
        $bytes > MOST_BYTES => '  over',
        default => '',
    });
}

echo "\n";
$whole = wholeTables($owner);
printf("%d of them read a whole table of more than 5,000 rows%s\n", count($whole), $whole === [] ? '' : ':');
foreach ($whole as $one) {
    echo "   $one\n";
}

$empty = app(CurrentSchool::class)->during($owner->school, static fn (): string => Term::where('title', 'Empty')->firstOrFail()->id);
printf("\ndeleting an empty term: %.0f ms\n", 1000 * took(static fn () => $browser->ask('DELETE', "/api/terms/$empty")));
$form = app(CurrentSchool::class)->during($owner->school, static fn (): string => Group::where('name', 'Group 1')->firstOrFail()->form_id);
printf("changing the cut of a form that 400 terms use: %.0f ms\n", 1000 * took(static fn () => $browser->ask('PUT', "/api/forms/$form/cutting", ['load' => 5.0])));
printf("barring a cut of it: %.0f ms\n", 1000 * took(static fn () => $browser->ask('PUT', "/api/forms/$form/joins", ['joins' => [['after' => 3, 'pin' => 'never']]])));
