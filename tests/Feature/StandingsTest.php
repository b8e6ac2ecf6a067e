<?php

declare(strict_types=1);

use App\Actions\ReadStandings;
use App\Models\Form;
use App\Models\School;
use App\Models\Student;
use App\Record\Checkpoints;
use Gorvan\Core\Memory\Tracks;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

beforeEach(function () {
    $this->clockAt('2026-01-06T20:00:00+01:00');
    ['user' => $this->user, 'form' => $this->form, 'group' => $this->group, 'term' => $this->term] = $this->school();
    $this->meetings = $this->meetings($this->term);
    $this->actingAs($this->user);
    $this->in = fn (callable $work) => $this->inside($this->user->school, $work);
    $this->students = ($this->in)(fn () => $this->group->students()->orderBy('name')->pluck('students.id')->all());
    $this->entries = ($this->in)(fn () => $this->form->entries()->pluck('id')->all());
    /** Everybody's tracks on a day, by checkpoints or, with all of them thrown away, from the first fact. */
    $this->tracks = fn (string $on): array => ($this->in)(fn () => app(ReadStandings::class)->tracks(Form::findOrFail($this->form->id)->placed(), $this->students, $on));
    $this->replayed = function (string $on): array {
        return ($this->in)(function () use ($on): array {
            DB::beginTransaction();
            DB::table('checkpoint_tracks')->delete();
            DB::table('checkpoints')->delete();
            $tracks = app(ReadStandings::class)->tracks(Form::findOrFail($this->form->id)->placed(), $this->students, $on);
            DB::rollBack();

            return $tracks;
        });
    };
    $this->sorted = function (array $tracks): array {
        foreach ($tracks as $student => $of) {
            ksort($of);
            $tracks[$student] = array_map(fn (Tracks $one) => var_export($one, true), array_filter($of, fn (Tracks $one) => $one->whole !== null || $one->areApart()));
        }

        return $tracks;
    };
    $this->alike = function (string $on): void {
        expect(($this->sorted)(($this->tracks)($on)))->toBe(($this->sorted)(($this->replayed)($on)));
    };
    $this->through = fn (): array => ($this->in)(fn () => DB::table('checkpoints')->join('students', 'students.id', 'checkpoints.student_id')->whereColumn('epoch', 'record_epoch')->orderBy('name')->pluck('through', 'name')->all());
    $this->markOn = function (int $meeting, int $student, int $entry, string $support = 'Alone', ?string $side = null): string {
        $mark = [...$this->mark($this->students[$student], $this->entries[$entry], $support), 'side' => $side];
        $this->postJson("/api/meetings/{$this->meetings[$meeting]->id}/marks", ['marks' => [$mark]])->assertOk();

        return $mark['id'];
    };
    $this->back = fn (string $of) => $this->postJson('/api/withdrawals', ['withdrawals' => [['id' => (string) Str::ulid(), 'of' => $of, 'at' => now()->toRfc3339String()]]])->assertNoContent();
});

test('a checkpoint is kept once a day lies two days back, and moves on with the days', function () {
    ($this->markOn)(0, 0, 0);
    ($this->tracks)('2026-01-06');
    expect(($this->through)())->toBe(['Ada' => 20457, 'Bo' => 20457, 'Cy' => 20457]); // 4 January: nothing of it is in one yet
    expect(($this->in)(fn () => DB::table('checkpoint_tracks')->count()))->toBe(0);
    $this->clockAt('2026-01-13T20:00:00+01:00');
    ($this->alike)('2026-01-13');
    expect(($this->through)()['Ada'])->toBe(20464)->and(($this->in)(fn () => DB::table('checkpoint_tracks')->count()))->toBe(1);
    ($this->markOn)(1, 0, 0, 'Cued');
    expect(($this->through)())->toHaveCount(3); // a mark of today throws nothing away
    ($this->alike)('2026-01-13');
    $this->clockAt('2026-01-27T20:00:00+01:00');
    ($this->alike)('2026-01-27');
    expect(($this->through)()['Ada'])->toBe(20478);
});

test('what changes a day gone by throws a checkpoint away', function (callable $change, array $thrownAway) {
    ($this->markOn)(0, 0, 0);
    $this->mark1 = ($this->markOn)(0, 0, 3, 'Flowing', 'left');
    $this->log0 = $this->logged($this->meetings[0], $this->user);
    $this->clockAt('2026-01-20T20:00:00+01:00');
    ($this->tracks)('2026-01-20');
    expect(($this->through)())->toHaveCount(3);
    $epochs = fn () => ($this->in)(fn () => Student::orderBy('name')->pluck('record_epoch', 'name')->all());
    $before = $epochs();
    $change($this);
    expect(array_keys(array_diff_assoc($epochs(), $before)))->toBe($thrownAway);
    ($this->alike)('2026-01-20');
    ($this->alike)('2026-01-13');
})->with([
    'a late mark' => [fn ($test) => ($test->markOn)(1, 1, 2), ['Bo']],
    'a late log' => [fn ($test) => $test->logged($test->meetings[1], $test->user, ['present' => [$test->students[2]]]), ['Cy']],
    'a mark withdrawn' => [fn ($test) => ($test->back)($test->mark1), ['Ada']],
    'a log withdrawn' => [fn ($test) => ($test->back)($test->log0), ['Ada', 'Bo', 'Cy']],
    'what was taught before' => [fn ($test) => $test->postJson("/api/groups/{$test->group->id}/before", ['id' => (string) Str::ulid(), 'to' => 3, 'at' => now()->toRfc3339String()])->assertNoContent(), ['Ada', 'Bo', 'Cy']],
    'an entry that loses its sides' => [fn ($test) => $test->postJson("/api/forms/{$test->form->id}/edits", ['base' => 1, 'edits' => [['op' => 'set', 'id' => 'e04', 'fields' => ['side' => null, 'repetition' => null]]]])->assertOk(), ['Ada', 'Bo', 'Cy']],
    'another time zone' => [fn ($test) => $test->inside($test->user->school, fn () => School::findOrFail($test->user->school_id)->update(['timezone' => 'America/Lima'])), ['Ada', 'Bo', 'Cy']],
    'a mark of today, or the first of a side' => [fn ($test) => ($test->markOn)(2, 0, 3, 'Cued', 'right'), []],
]);

test('on random histories of late, doubled and withdrawn facts a standing with checkpoints is the replayed one to the last bit', function (int $seed) {
    mt_srand($seed);
    $marks = $logs = [];
    for ($week = 0; $week < 8; $week++) {
        $this->clockAt(now()->startOfDay()->addDays($week === 0 ? 0 : mt_rand(4, 9))->setTime(20, 0)->toRfc3339String());
        $held = array_values(array_filter(array_keys($this->meetings), fn (int $n) => $this->meetings[$n]->on <= now()->format('Y-m-d')));
        for ($n = 0; $n < 6; $n++) {
            $meeting = $held[mt_rand(0, count($held) - 1)];
            match (mt_rand(0, 5)) {
                0 => $marks === [] || ($this->back)($marks[mt_rand(0, count($marks) - 1)]),
                1 => isset($logs[$meeting]) || $logs[$meeting] = $this->logged($this->meetings[$meeting], $this->user, ['present' => array_slice($this->students, mt_rand(0, 2))]),
                2 => $logs === [] || [($this->back)($logs[$key = array_rand($logs)]), $logs = array_diff_key($logs, [$key => 1])],
                default => $marks[] = ($this->markOn)($meeting, mt_rand(0, 2), $entry = mt_rand(0, 7), ['Unmet', 'Following', 'Cued', 'Alone', 'Flowing'][mt_rand(0, 4)], $entry === 3 && mt_rand(0, 1) === 0 ? 'left' : null),
            };
            if (mt_rand(0, 1) === 0) {
                ($this->alike)(now()->format('Y-m-d'));
            }
        }
    }
    ($this->alike)(now()->format('Y-m-d'));
    ($this->alike)(now()->subDays(20)->format('Y-m-d'));
})->with(range(1, 13)); // three students and eight entries each: 312 histories

test('what was computed while somebody wrote is not kept', function () {
    ($this->markOn)(0, 0, 0);
    $this->clockAt('2026-01-20T20:00:00+01:00');
    ($this->in)(function (): void {
        $points = app(Checkpoints::class);
        $read = $points->of($this->students);
        $points->discard([$this->students[0]]); // a late fact arrives between the reading and the keeping
        $points->save(array_fill_keys($this->students, []), array_map(fn (array $one) => $one['epoch'], $read), 20471, true);
    });
    expect(array_keys(($this->through)()))->toBe(['Bo', 'Cy']);
});

test('a standing on an earlier day says what is known now about that day', function () {
    $mark = ($this->markOn)(0, 0, 0);
    $log = $this->logged($this->meetings[0], $this->user);
    $this->clockAt('2026-01-20T20:00:00+01:00');
    $ada = fn (string $on) => collect($this->getJson("/api/groups/{$this->group->id}?on=$on")->json('students'))->firstWhere('name', 'Ada');
    expect(self::cell($ada('2026-01-06')['cells'][0])['support'])->toBe('Alone')->and($this->getJson("/api/groups/{$this->group->id}?on=2026-01-06")->json('taught'))->not->toBe([]);
    ($this->back)($mark);
    ($this->back)($log);
    expect($ada('2026-01-06')['cells'])->toBe([])->and($this->getJson("/api/groups/{$this->group->id}?on=2026-01-06")->json('taught'))->toBe([]);
    $this->logged($this->meetings[1], $this->user);
    expect($this->getJson("/api/groups/{$this->group->id}?on=2026-01-12")->json('taught'))->toBe([]) // not today's list of what was taught
        ->and($this->getJson("/api/groups/{$this->group->id}?on=2026-01-13")->json('taught'))->not->toBe([]);
});

test('left flowing and right never seen does not hold, wherever it is asked', function () {
    $this->logged($this->meetings[0], $this->user, ['did' => [['what' => 'taught', 'entries' => ['e01', 'e02', 'e03', 'e04']]]]);
    ($this->markOn)(0, 0, 3, 'Flowing', 'left');
    $cell = collect($this->getJson("/api/groups/{$this->group->id}")->json('students.0.cells'))->map(self::cell(...))->firstWhere('position', 4);
    expect($cell)->toMatchArray(['holds' => false, 'left' => 'Flowing', 'right' => null, 'support' => null])
        ->and($this->getJson("/api/groups/{$this->group->id}")->json('students.0.holding'))->toBe(0);
});

test('deleting a school row leaves no checkpoint behind', function () {
    ($this->markOn)(0, 0, 0);
    ($this->tracks)('2026-01-06');
    $new = $this->postJson("/api/groups/{$this->group->id}/students", ['students' => ['Eve']])->json('added.0');
    ($this->in)(fn () => app(ReadStandings::class)(Form::findOrFail($this->form->id)->placed(), [$new], '2026-01-06'));
    $this->deleteJson("/api/groups/{$this->group->id}/students", ['students' => [$new]])->assertNoContent();
    expect(($this->in)(fn () => Student::whereKey($new)->exists()))->toBeFalse()->and(($this->in)(fn () => DB::table('checkpoints')->where('student_id', $new)->count()))->toBe(0);
});
