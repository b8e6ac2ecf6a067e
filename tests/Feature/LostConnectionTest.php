<?php

declare(strict_types=1);

use App\Models\CurrentSchool;
use App\Models\Entry;
use App\Models\Mark;
use App\Models\Student;
use Illuminate\Database\Events\TransactionCommitting;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Str;

/** Somebody else's connection to the same database; as the role that owns the tables where `$owns`. */
function anotherConnection(bool $owns = false): PDO
{
    $as = config('database.connections.pgsql');

    return new PDO("pgsql:host={$as['host']};port={$as['port']};dbname=".DB::getDatabaseName(), $owns ? 'gorvan_tables' : $as['username'], $owns ? (string) getenv('GORVAN_TABLES_SECRET') : $as['password'], [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
}

// What is lost with a connection is a transaction: these leave the one that surrounds every test, and clear up themselves.
beforeEach(function () {
    DB::rollBack();
    $this->clockAt('2026-01-20T20:00:00+01:00');
    ['user' => $this->user, 'group' => $this->group, 'term' => $this->term] = $this->school('Lost '.Str::random(8));
    $this->actingAs($this->user);
    [$this->student, $this->entry] = $this->inside($this->user->school, fn () => [Student::orderBy('name')->first()->id, Entry::where('position', 2)->value('id')]);
    $this->meeting = $this->meetings($this->term)[2]->id;
    $this->killer = anotherConnection();
    $this->at = PHP_INT_MAX;
    $this->seen = 0;
    $kill = function (): void {
        if (++$this->seen === $this->at) {
            $this->killer->exec('select pg_terminate_backend('.(int) $this->pid.')');
            usleep(20_000);
        }
    };
    DB::connection()->beforeExecuting($kill);
    Event::listen(TransactionCommitting::class, $kill);
    // Sends a request whose connection is ended before its query of this number; false where it has no so many.
    $this->losing = function (int $at, callable $ask): array {
        DB::reconnect();
        $this->pid = DB::connection()->getPdo()->query('select pg_backend_pid()')->fetchColumn();
        [$this->at, $this->seen] = [$at, 0];
        $answer = $ask();
        $this->at = PHP_INT_MAX;

        return [$answer, $this->seen >= $at];
    };
});
afterEach(function () {
    $owner = anotherConnection(true);
    $id = $this->user->school_id;
    $owner->exec("begin; select set_config('gorvan.school', '$id', true)");
    foreach (['marks', 'withdrawals', 'class_logs'] as $table) {
        $owner->exec("alter table $table disable trigger append_only; delete from $table where school_id = '$id'; alter table $table enable trigger append_only");
    }
    $owner->exec("delete from schools where id = '$id'; commit");
    DB::reconnect();
});

test('a connection lost at any query of a read is told, and never answered with what another school, or none, would see', function (string $page) {
    $url = strtr($page, ['GROUP' => $this->group->id, 'MEETING' => $this->meeting, 'TERM' => $this->term->id]);
    $this->getJson($url)->assertOk(); // what is kept to be faster next time is kept
    $whole = $this->getJson($url)->assertOk()->getContent();
    $told = 0;
    for ($at = 1, $goesOn = true; $goesOn; $at++) {
        [$answer, $goesOn] = ($this->losing)($at, fn () => $this->getJson($url));
        $told += (int) ($answer->status() === 503);
        $answer->status() === 503
            ? expect($answer->json('code'))->toBe('http.closed')
            : expect([$answer->status(), $answer->getContent()])->toBe([200, $whole], "query $at");
    }
    expect($told)->toBeGreaterThan(3);
})->with(['/api/today', '/api/students', '/api/groups/GROUP', '/api/meetings/MEETING', '/api/terms/TERM']);

test('a connection lost at any query of a write leaves nothing done, and is never said to have done it', function () {
    $email = fn (): ?string => $this->inside($this->user->school, fn () => Student::findOrFail($this->student)->email);
    for ($at = 1, $goesOn = true; $goesOn; $at++) {
        [$answer, $goesOn] = ($this->losing)($at, fn () => $this->putJson("/api/students/{$this->student}/details", ['email' => "at$at@example.test", 'size' => null]));
        $goesOn ? expect([$answer->status(), $email()])->toBe([503, null]) : expect([$answer->status(), $email()])->toBe([204, "at$at@example.test"]);
    }
    expect($at)->toBeGreaterThan(5);
});

test('a batch of marks whose connection is lost is there whole or not at all, and sent again is there once', function () {
    $marks = array_map(fn () => $this->mark($this->student, $this->entry), range(1, 3));
    $count = fn (): int => $this->inside($this->user->school, fn () => Mark::whereIn('id', array_column($marks, 'id'))->count());
    for ($at = 1, $goesOn = true; $goesOn; $at++) {
        [$answer, $goesOn] = ($this->losing)($at, fn () => $this->postJson("/api/meetings/{$this->meeting}/marks", ['marks' => $marks]));
        $goesOn ? expect([$answer->status(), $count()])->toBe([503, 0]) : expect([$answer->status(), $count()])->toBe([200, 3]);
    }
    $this->postJson("/api/meetings/{$this->meeting}/marks", ['marks' => $marks])->assertOk();
    expect($count())->toBe(3)->and($at)->toBeGreaterThan(10);
});

test('what is asked after a connection was lost is asked in no school, and answered by nobody', function () {
    $current = app(CurrentSchool::class);
    try {
        $current->during($this->user->school, function (): void {
            $this->killer->exec('select pg_terminate_backend('.DB::scalar('select pg_backend_pid()').')');
            usleep(20_000);
            try {
                Student::count();
            } catch (Illuminate\Database\QueryException) {
                // somebody who goes on regardless, on another connection
            }
            DB::reconnect();
            expect(fn () => Student::count())->toThrow(Illuminate\Database\QueryException::class);
        });
        $this->fail('It was said to be done.');
    } catch (App\Models\ConnectionLost) {
        expect($this->inside($this->user->school, fn () => Student::count()))->toBe(3);
    }
});

test('a transaction that failed without a word is not said to be done', function () {
    expect(fn () => app(CurrentSchool::class)->during($this->user->school, function (): void {
        Student::whereKey($this->student)->update(['name' => 'Changed']);
        try {
            DB::statement('select 1 / 0');
        } catch (Illuminate\Database\QueryException) {
            // swallowed: PostgreSQL answers the commit with a rollback, as if all were well
        }
    }))->toThrow(Illuminate\Database\QueryException::class, 'current transaction is aborted');
    expect($this->inside($this->user->school, fn () => Student::findOrFail($this->student)->name))->not->toBe('Changed');
});
