<?php

declare(strict_types=1);

use App\Actions\LogClass;
use App\Actions\Refused;
use App\Actions\WithdrawFacts;
use App\Models\LoggedClass;
use App\Models\Meeting;
use App\Models\Student;
use App\Models\Withdrawal;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Record\ClassLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-20T20:30:00+01:00');
    ['user' => $this->user, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->actingAs($this->user);
    $this->meeting = $this->meetings($this->term)[2];
    $this->url = "/api/meetings/{$this->meeting->id}/log";
    $this->students = $this->inside($this->user->school, fn () => Student::orderBy('name')->pluck('id')->all());
    $this->log = fn (?string $replaces = null, ?array $present = null): array => $this->asPlanned($this->meeting, ['present' => $present ?? $this->students, ...($replaces === null ? [] : ['replaces' => $replaces])]);
    $this->back = fn (string $of, ?string $id = null) => $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => $id ?? (string) Str::ulid(), 'of' => $of, 'at' => now()->toRfc3339String()]]]);
});

test('a log corrected twice stands as it was said last, on every page; taken back, the class is unlogged', function () {
    [$ada, $bo, $cy] = $this->students;
    $first = ($this->log)();
    $second = ($this->log)($first['id'], [$ada, $bo]);
    $third = ($this->log)($second['id'], [$ada]);
    foreach ([$first, $second, $third] as $log) {
        $this->postJson($this->url, $log)->assertNoContent();
    }
    $this->getJson($this->url)->assertJsonPath('log.id', $third['id']);
    $this->getJson("/api/groups/{$this->group->id}/book")->assertJsonCount(1, 'classes')->assertJsonPath('classes.0.logId', $third['id']);
    // Who was taken out is not back: the class is nothing they came to.
    $seen = collect($this->getJson('/api/students')->json())->pluck('lastSeen', 'name')->all();
    expect($seen)->toBe(['Ada' => '2026-01-20', 'Bo' => null, 'Cy' => null]);
    $cells = fn (string $student): array => $this->getJson("/api/students/$student")->assertOk()->json('forms.0.standing.cells');
    expect($cells($ada))->not->toBe([])->and($cells($bo))->toBe([])->and($cells($cy))->toBe([]);
    // Taken back it is unlogged: what it had replaced is not revived.
    ($this->back)($third['id'])->assertNoContent();
    $this->getJson($this->url)->assertJsonPath('log', null);
    $this->getJson("/api/groups/{$this->group->id}/book")->assertJsonCount(0, 'classes');
    // A log's withdrawal is not taken back; the class is logged again.
    $withdrawal = $this->inside($this->user->school, fn () => Withdrawal::where('of', $third['id'])->sole()->id);
    ($this->back)($withdrawal)->assertUnprocessable();
    $again = ($this->log)();
    $this->postJson($this->url, $again)->assertNoContent();
    $this->getJson($this->url)->assertJsonPath('log.id', $again['id']);
});

test('no fact is taken back by itself, nor under the id of another', function () {
    $log = ($this->log)();
    $this->postJson($this->url, $log)->assertNoContent();
    $mark = $this->mark($this->students[0], $this->inside($this->user->school, fn () => App\Models\Entry::first()->id));
    $this->postJson("/api/meetings/{$this->meeting->id}/marks", ['marks' => [$mark]])->assertOk();
    foreach ([$log['id'], $mark['id']] as $id) {
        ($this->back)($id, $id)->assertConflict();
    }
    ($this->back)($mark['id'], $log['id'])->assertConflict();
    $this->getJson($this->url)->assertJsonPath('log.id', $log['id']);
});

/**
 * What a class held, by a second reading that knows nothing of the application's: logs and takings-back as they arrive.
 *
 * @param  list<array<string, mixed>>  $arrived
 * @return list<string> logs that stand
 */
function standsByHand(array $arrived): array
{
    $logs = $gone = [];
    foreach ($arrived as $one) {
        if (isset($one['of'])) {
            if (isset($logs[$one['of']])) {
                $gone[$one['of']] = true;
            }
        } elseif (! isset($logs[$one['id']])) {
            $standing = array_keys(array_diff_key($logs, $gone));
            if ($standing === [] || $standing === [$one['replaces'] ?? null]) {
                $gone += array_fill_keys($standing, true);
                $logs[$one['id']] = true;
            }
        }
    }

    return array_map(strval(...), array_keys(array_diff_key($logs, $gone)));
}

test('200 random chains of logging, correcting and taking back stand as a second reading has them', function () {
    mt_srand(27);
    $this->clockAt('2026-04-01T12:00:00+02:00'); // the term is over: nothing is planned
    $meetings = $this->meetings($this->term);
    $body = fn (Meeting $meeting, array $change): string => json_encode([...$this->asPlanned($meeting), ...$change], JSON_THROW_ON_ERROR);
    $ulid = static fn (): string => (string) Str::ulid();
    $differences = [];
    for ($chain = 0; $chain < 200; $chain++) {
        $meeting = $meetings[$chain % count($meetings)];
        // Two devices say things one after the other, each after what it knows; now and then one is sent twice.
        $sent = $ids = [];
        for ($step = 0, $steps = mt_rand(3, 7); $step < $steps; $step++) {
            $known = $ids === [] ? null : $ids[array_rand($ids)];
            if ($known !== null && mt_rand(0, 3) === 0) {
                $sent[] = ['id' => $ulid(), 'of' => $known];
            } else {
                $ids[] = $id = $ulid();
                $sent[] = ['id' => $id, ...($known === null || mt_rand(0, 4) === 0 ? [] : ['replaces' => mt_rand(0, 2) === 0 ? $known : $ids[max(0, count($ids) - 2)]])];
            }
            if (mt_rand(0, 3) === 0) {
                $sent[] = $sent[array_rand($sent)];
            }
        }
        if (mt_rand(0, 1) === 0) {
            shuffle($sent);
        }
        DB::beginTransaction(); // the next chain begins with an unlogged class
        $this->inside($this->user->school, function () use ($meeting, $body, $sent, $chain, &$differences): void {
            $bodies = [];
            foreach ($sent as $one) {
                try {
                    isset($one['of'])
                        ? app(WithdrawFacts::class)([[...$one, 'at' => now()->toDateTimeImmutable()]], $this->user)
                        : app(LogClass::class)(Meeting::findOrFail($meeting->id), ClassLog::read(JsonNode::parse($bodies[$one['id']] ??= $body($meeting, $one))), $this->user);
                } catch (Refused) {
                    // it came before what it is about, or after another
                }
            }
            $stands = LoggedClass::standing()->where('meeting_id', $meeting->id)->pluck('id')->all();
            $rows = DB::select('select l.id from class_logs l where l.school_id = ? and l.meeting_id = ? and not exists (select from withdrawals w where w.school_id = l.school_id and w.of = l.id)', [$meeting->school_id, $meeting->id]);
            if ($stands !== standsByHand($sent) || $stands !== array_column($rows, 'id')) {
                $differences[$chain] = [$stands, standsByHand($sent), $sent];
            }
        });
        DB::rollBack();
    }
    expect($differences)->toBe([]);
});
