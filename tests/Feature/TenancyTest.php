<?php

declare(strict_types=1);

use App\Models\CurrentSchool;
use App\Models\Entry;
use App\Models\Mark;
use App\Models\Student;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:00:00+01:00');
    $this->own = $this->school('Own School');
    $this->other = $this->school('Other School');
    $meeting = $this->meetings($this->other['term'])[2];
    // The other school has a row in every table.
    $this->inside($this->other['user']->school, function () {
        $this->set = app(App\Actions\SavePrinciples::class)(Gorvan\Core\Principle\PrincipleSet::of('Set', null, [], [new Gorvan\Core\Principle\Principle('p1', 'Root')]), $this->other['user'], new Gorvan\Core\Principle\Bites([new Gorvan\Core\Principle\Bite('p1', 'e01', 1)]), $this->other['form'])->id;
    });
    $this->inside($this->other['user']->school, function () use ($meeting) {
        $this->markId = (string) Str::ulid();
        $student = Student::first()->id;
        app(App\Actions\RecordMarks::class)($meeting, [new App\Actions\NewMark($this->markId, $student, Entry::first()->id, Gorvan\Core\Record\Support::Alone, new DateTimeImmutable)], $this->other['user']);
        app(App\Actions\WithdrawFacts::class)([['id' => (string) Str::ulid(), 'of' => $this->markId, 'at' => new DateTimeImmutable]], $this->other['user']);
    });
    $this->consideration = (string) Str::uuid();
    $this->inside($this->other['user']->school, fn () => app(App\Actions\KeepConsideration::class)(Student::first(), $this->consideration, new Gorvan\Core\Care\StudentConsideration(Gorvan\Core\Care\Consideration::Knee)));
    $this->inside($this->other['user']->school, fn () => app(App\Actions\TakeAttendance::class)($meeting, [Student::first()->id => new App\Actions\Noted(true, new DateTimeImmutable)], $this->other['user']));
    $this->inside($this->other['user']->school, function () use ($meeting) {
        app(App\Actions\ChangeTerm::class)($meeting->term, [new Gorvan\Core\Term\Change\SetRoom($this->meetings($this->other['term'])[9]->id, 'Loft')], 0, $this->other['user']);
        app(App\Actions\AskQuestion::class)($meeting->term->fresh(), App\Models\QuestionKind::Minutes, [], $this->other['user']->id);
    });
    $this->logged($meeting, $this->other['user']);
    $this->inside($this->other['user']->school, fn () => App\Jobs\Lease::take(app(CurrentSchool::class), 'term/x'));
    $this->inside($this->other['user']->school, fn () => app(App\Actions\ReadStandings::class)(App\Models\Form::first()->placed(), [Student::first()->id], '2026-01-25'));
    $this->clockAt('2026-01-25T20:00:00+01:00');
    $this->inside($this->other['user']->school, fn () => app(App\Actions\ReadStandings::class)(App\Models\Form::first()->placed(), Student::pluck('id')->all(), '2026-01-25'));
    // A lesson that is written, a link that was opened, and what came back from home.
    [$this->letterId, $this->lessonId, $this->homeId, $this->asked] = [(string) Str::uuid(), (string) Str::uuid(), (string) Str::uuid(), (string) Str::uuid()];
    $this->inside($this->other['user']->school, function (): void {
        app(App\Actions\KeepLesson::class)($this->other['form']->fresh(), null, new Gorvan\Core\Lesson\Content\WrittenLesson($this->lessonId, ['e01'], partner: new Gorvan\Core\Lesson\Content\PartnerDrill('e01', null, [new Gorvan\Core\Lesson\Content\PartnerStep('s', 'touch')], null, [])), 0);
        $student = Student::first(); // which is the first may change with every update
        $student->update(['email' => 'somebody@other.example']);
        app(App\Actions\GiveLink::class)($student, true);
        [, $token] = app(App\Actions\PersonalLinks::class)->make($student);
        app(App\Actions\PersonalLinks::class)->open($token);
        App\Models\GivenAnswer::create(['id' => (string) Str::uuid(), 'user_id' => $this->other['user']->id, 'asked' => str_repeat('0', 64), 'status' => 201, 'body' => '{}', 'at' => now()]);
        app(App\Actions\KeepLetter::class)($this->other['term'], $this->letterId, Student::first()->id, 'Dear', 0);
        app(App\Actions\NoteHomePractice::class)(Student::first(), $this->homeId, '2026-01-20', new DateTimeImmutable, 5, true, []);
        (new App\Models\StudentQuestion)->forceFill(['id' => $this->asked, 'student_id' => Student::first()->id, 'text' => '?', 'at' => now(), 'received_at' => now()])->save();
    });
    $this->theirs = ['letter' => $this->letterId, 'lesson' => $this->lessonId, 'studentQuestion' => $this->asked, 'consideration' => $this->consideration, 'principleSet' => $this->set, 'form' => $this->other['form']->id, 'group' => $this->other['group']->id, 'term' => $this->other['term']->id, 'meeting' => $meeting->id, 'student' => $this->inside($this->other['user']->school, fn () => Student::first()->id),
        'change' => $this->inside($this->other['user']->school, fn () => App\Models\PlanChange::first()->id), 'course' => $this->inside($this->other['user']->school, fn () => App\Models\Course::first()->id), 'question' => $this->inside($this->other['user']->school, fn () => App\Models\PlanQuestion::first()->id)];
});

/** @return list<string> every table whose rows belong to a school */
function schoolTables(): array
{
    return array_column(DB::select("select table_name from information_schema.columns where column_name = 'school_id' and table_schema = 'public' and table_name <> 'users'"), 'table_name');
}

test('every table of a school shows a connection only that school’s rows, whatever the query forgets', function () {
    $tables = schoolTables();
    expect(count($tables))->toBe(35);
    $ids = [$this->own['user']->school_id, $this->other['user']->school_id];
    foreach ($tables as $table) {
        foreach ([0, 1] as $who) {
            DB::statement("select set_config('gorvan.school', ?, true)", [$ids[$who]]);
            $seen = DB::table($table)->distinct()->pluck('school_id')->all();
            $this->assertNotContains($ids[1 - $who], $seen, "$table shows another school's rows");
            if ($who === 1) {
                $this->assertContains($ids[1], $seen, "$table has no row to hide");
            }
        }
        DB::statement("select set_config('gorvan.school', '', true)");
        DB::beginTransaction();
        try {
            DB::table($table)->count();
            $this->fail("$table answers whoever is in no school");
        } catch (QueryException $e) {
            expect($e->getMessage())->toContain('invalid input syntax for type uuid');
        } finally {
            DB::rollBack();
        }
    }
});

test('no row can be written into, or point into, another school', function () {
    [$own, $other] = [$this->own['user']->school, $this->other['user']->school];
    $refused = function (callable $write): void {
        DB::beginTransaction();
        try {
            $write();
            $this->fail('It was written.');
        } catch (QueryException $e) {
            expect($e->getMessage())->toMatch('/row-level security|foreign key/');
        } finally {
            DB::rollBack();
        }
    };
    $this->inside($own, function () use ($refused, $other, $own): void {
        foreach (schoolTables() as $table) {
            $refused(fn () => DB::table($table)->insert((str_starts_with($table, 'checkpoint') || $table === 'log_students' ? [] : ['id' => in_array($table, ['marks', 'withdrawals', 'class_logs', 'withdrawn'], true) ? (string) Str::ulid() : (string) Str::uuid()]) + ['school_id' => $other->id] + (array) match ($table) {
                'students' => ['name' => 'X'],
                'forms' => ['title' => 'X', 'document' => '{}'],
                'checkpoints' => ['student_id' => (string) Str::uuid(), 'through' => 1, 'epoch' => 0],
                'checkpoint_tracks' => ['student_id' => (string) Str::uuid(), 'subject' => 'x', 'side' => '', 'updates' => 0, 'has_home' => false],
                'class_logs' => ['students' => '{}', 'taught' => '{}'],
                'log_students' => ['student_id' => (string) Str::uuid(), 'on' => '2026-01-01', 'log_id' => (string) Str::ulid()],
                'forecast_tests' => ['student_id' => (string) Str::uuid(), 'tests' => '[]'],
                'leases' => ['id' => 'x', 'number' => 1, 'begun' => 1, 'until' => now()],
                default => [],
            }));
        }
        $refused(fn () => DB::table('group_members')->insert(['id' => (string) Str::uuid(), 'school_id' => $own->id, 'group_id' => $this->theirs['group'], 'student_id' => Student::first()->id, 'joined_on' => '2026-01-01']));
    });
});

test('every route answers another school’s ids as if they were not there', function () {
    $this->actingAs($this->own['user']);
    $bodies = [
        'joins' => ['joins' => [['after' => 1, 'pin' => null]]], 'cutting' => [], 'students' => ['students' => ['X']],
        'attendance' => ['attendance' => [(string) Str::uuid() => ['isHere' => true]]], 'marks' => ['marks' => [$this->mark((string) Str::uuid(), (string) Str::uuid())]],
        'log' => ['format' => 'gorvan.log/1'], 'guests' => ['id' => (string) Str::uuid(), 'name' => 'X', 'isFirstTime' => true, 'at' => '2026-01-20T19:00:00+01:00'], 'move' => [], 'before' => [], $this->theirs['student'] => ['name' => 'X'],
    ];
    $walked = 0;
    foreach (Route::getRoutes() as $route) {
        if (! str_starts_with($route->uri(), 'api/') || ! str_contains($route->uri(), '{')) {
            continue;
        }
        $uri = preg_replace_callback('/\{(\w+)\}/', fn ($m) => $this->theirs[$m[1]] ?? '1', $route->uri());
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            $answer = $this->json($method, "/$uri", $bodies[basename($uri)] ?? []);
            $this->assertSame(404, $answer->status(), "$method $uri answers {$answer->status()}");
            $walked++;
        }
    }
    expect($walked)->toBeGreaterThan(9);
});

test('every route that takes an id in its body refuses another school’s', function () {
    $this->actingAs($this->own['user']);
    $this->postJson('/api/groups', ['name' => 'X', 'form' => $this->theirs['form'], 'students' => []])->assertUnprocessable();
    $term = ['title' => 'X', 'from' => '2026-03-01', 'to' => '2026-05-30', 'pattern' => [['weekday' => 'Tue', 'at' => '19:00', 'minutes' => 60]], 'closures' => [], 'approach' => 'piece', 'group' => $this->theirs['group']];
    $this->postJson('/api/terms', $term)->assertUnprocessable();
    $this->postJson('/api/terms/preview', $term)->assertUnprocessable();
    $student = $this->inside($this->other['user']->school, fn () => Student::first()->id);
    $this->deleteJson("/api/groups/{$this->own['group']->id}/students", ['students' => [$student]])->assertUnprocessable();
    $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => (string) Str::ulid(), 'of' => $this->markId, 'at' => now()->toRfc3339String()]]])->assertUnprocessable();
});

test('lists name nothing of another school, and a mark id in use elsewhere is free here', function () {
    $this->actingAs($this->own['user']);
    foreach (['/api/forms', '/api/groups', '/api/terms', '/api/today', '/api/terms/next', "/api/terms/next?group={$this->theirs['group']}&after={$this->theirs['term']}"] as $uri) {
        $text = $this->getJson($uri)->assertOk()->getContent();
        foreach ($this->theirs as $id) {
            $this->assertStringNotContainsString($id, $text, $uri);
        }
    }
    $meeting = $this->meetings($this->own['term'])[2];
    [$student, $entry] = $this->inside($this->own['user']->school, fn () => [Student::first()->id, Entry::first()->id]);
    $this->postJson("/api/meetings/$meeting->id/marks", ['marks' => [$this->mark($student, $entry, id: $this->markId)]])->assertOk();
});

test('every route but signing in and founding needs someone signed in and says who may', function () {
    foreach (Route::getRoutes() as $route) {
        if (! str_starts_with($route->uri(), 'api/') || in_array($route->uri(), ['api/session', 'api/founding'], true)) {
            continue;
        }
        $middleware = implode(' ', $route->gatherMiddleware());
        $this->assertStringContainsString('auth:sanctum', $middleware, $route->uri());
        $this->assertStringContainsString('school', $middleware, $route->uri());
        $this->assertMatchesRegularExpression('/can:/', $middleware, $route->uri());
    }
});

test('a query outside any school is an error, not every school’s rows', function () {
    app(CurrentSchool::class)->leave();
    Mark::count();
})->throws(LogicException::class);

test('the application can read and write rows, and nothing of the tables themselves', function (string $statement) {
    expect(DB::scalar('select current_user'))->toBe('gorvan')->and(DB::scalar("select rolsuper or rolbypassrls from pg_roles where rolname = 'gorvan'"))->toBeFalse();
    DB::beginTransaction();
    try {
        DB::unprepared($statement);
        $this->fail('It was done.');
    } catch (QueryException $e) {
        expect($e->getMessage())->toMatch('/permission denied|must be owner|must be a? ?member|must be superuser/i');
    } finally {
        DB::rollBack();
    }
})->with([
    'empty a table' => ['truncate marks cascade'], 'turn policies off' => ['alter table marks disable row level security'], 'unforce them' => ['alter table marks no force row level security'],
    'drop a policy' => ['drop policy own_school on users'], 'write another' => ['create policy all_schools on marks using (true)'], 'turn triggers off' => ['alter table marks disable trigger all'],
    'drop a table' => ['drop table letters'], 'make one' => ['create table public.mine (id int)'], 'change a function' => ["create or replace function gorvan_demo_school() returns uuid language sql as 'select null::uuid'"],
    'be somebody else' => ['set role gorvan_tables'], 'be the superuser' => ['set session authorization gorvan_owner'], 'read files' => ["copy marks from '/etc/passwd'"], 'run programs' => ["copy marks to program 'id'"],
]);

test('schools and people are hidden like everything else, and one function gives the one row of whoever signs in', function () {
    app(CurrentSchool::class)->leave();
    foreach (['users', 'schools'] as $table) {
        expect(fn () => DB::transaction(fn () => DB::table($table)->count()))->toThrow(QueryException::class, 'invalid input syntax for type uuid');
    }
    $this->inside($this->own['user']->school, function (): void {
        expect(DB::table('users')->pluck('school_id')->unique()->all())->toBe([$this->own['user']->school_id])
            ->and(DB::table('schools')->pluck('id')->all())->toBe([$this->own['user']->school_id])
            ->and(DB::table('users')->where('id', $this->other['user']->id)->update(['name' => 'X']))->toBe(0);
    });
    $who = fn (?string $address, ?string $id): array => array_column(DB::select('select id from gorvan_who(?::text, ?::uuid)', [$address, $id]), 'id');
    expect($who($this->other['user']->email, null))->toBe([$this->other['user']->id])
        ->and($who(null, $this->own['user']->id))->toBe([$this->own['user']->id])
        ->and($who('nobody@example.test', null))->toBe([])->and($who('%', null))->toBe([])->and($who(null, null))->toBe([]);
});

test('every route asks who is there: without a session nothing is read or written', function () {
    $walked = 0;
    foreach (Route::getRoutes() as $route) {
        if (! str_starts_with($route->uri(), 'api/') || in_array($route->uri(), ['api/session', 'api/founding'], true)) {
            continue;
        }
        $uri = preg_replace_callback('/\{(\w+)\}/', fn ($m) => $this->theirs[$m[1]] ?? '1', $route->uri());
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            $this->assertSame(401, $this->json($method, "/$uri")->status(), "$method $uri");
            $walked++;
        }
    }
    expect($walked)->toBeGreaterThan(44);
});
