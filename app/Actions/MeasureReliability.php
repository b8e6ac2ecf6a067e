<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\Mark;
use App\Models\School;
use App\Models\Student;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Standing\ForecastTest;
use Gorvan\Core\Standing\Reliability;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Works out whether the forecasts of the school were true, and keeps it until something it rests on changes. */
final class MeasureReliability
{
    /** With more marks than this it takes longer than a page is waited for. */
    private const MOST_AT_ONCE = 10_000;

    /** Minutes after which what was asked for has failed, and is asked for again. */
    private const PATIENCE = 5;

    public function __construct(private readonly CurrentSchool $school, private readonly ReadForecasts $forecasts, private readonly StandStudents $stand)
    {
    }

    /** Whether what was kept is of what there is now. */
    public function isCurrent(): bool
    {
        return $this->fresh()->reliability_of === $this->fingerprint() && ! Student::doesntHave('forecastTests')->exists();
    }

    public function isLong(): bool
    {
        return Mark::query()->skip(self::MOST_AT_ONCE)->take(1)->exists();
    }

    /** Whether whoever asks now is to have it worked out: nobody else has asked since it was, or not for a while. */
    public function isFirstToAsk(): bool
    {
        return School::whereKey($this->school->id())
            ->where(static fn ($asked) => $asked->whereNull('reliability_asked_at')->orWhere('reliability_asked_at', '<', now()->subMinutes(self::PATIENCE)))
            ->update(['reliability_asked_at' => now()]) === 1;
    }

    public function __invoke(): void
    {
        $this->keep($this->apart(static fn (callable $part): mixed => $part()));
    }

    /**
     * Works it out in parts, so that nothing is held for long.
     *
     * @param  callable(callable(): mixed): mixed  $read  does a part that asks the database
     * @param  (callable(): void)|null  $goesOn  called between the parts
     */
    public function apart(callable $read, ?callable $goesOn = null): ReliabilityWork
    {
        $then = static function (callable $part) use ($read, $goesOn): mixed {
            $done = $read($part);
            if ($goesOn !== null) {
                $goesOn();
            }

            return $done;
        };
        // Whoever was not measured is, so that the fingerprint comes after it.
        while ($then($this->forecasts->measure(...)) > 0);
        /** @var array<string, list<ForecastTest>> $tests */
        $tests = $then(($this->forecasts)(...));
        [$of, $now, $members] = $then(fn (): array => [$this->fingerprint(), $this->fresh()->recall_factor ?? 1.0, $this->groups()]);
        $all = self::together($tests);
        $school = Reliability::of($all, $now);
        $factor = Reliability::factor($all);
        $groups = array_map(static fn (array $one): stdClass => (object) ['id' => $one[0]->id, 'name' => $one[0]->name, 'of' => Reliability::of(self::together(array_intersect_key($tests, array_flip($one[1]))), $now)], $members);
        $change = null;
        if ($factor !== null) {
            $holding = ['holdsBefore' => 0, 'holdsAfter' => 0];
            foreach ($members as [$group]) {
                foreach (['holdsBefore' => $now, 'holdsAfter' => $factor] as $which => $by) {
                    $holding[$which] += $then(fn (): int => $this->stand->holding($group, new MemoryModel($by)));
                }
            }
            $change = (object) ['factor' => $factor, 'after' => Reliability::of($all, $factor), ...$holding];
        }

        return new ReliabilityWork(json_encode(['school' => $school, 'groups' => $groups, 'change' => $change], JSON_THROW_ON_ERROR), $of);
    }

    public function keep(ReliabilityWork $work): void
    {
        School::whereKey($this->school->id())->update(['reliability' => $work->reliability, 'reliability_of' => $work->of, 'reliability_asked_at' => null]);
    }

    public function kept(): ?stdClass
    {
        $kept = $this->fresh()->reliability;

        return $kept === null ? null : (object) json_decode($kept, false, 32, JSON_THROW_ON_ERROR);
    }

    private function fresh(): School
    {
        return School::findOrFail($this->school->id());
    }

    /** Of what it is worked out: the tests, how recall is read, the day, and who is in which group. */
    private function fingerprint(): string
    {
        $school = $this->fresh();
        $members = DB::scalar("select md5(string_agg(m.group_id::text || m.student_id || g.name, '' order by m.group_id, m.student_id)) from group_members m join groups g on g.school_id = m.school_id and g.id = m.group_id where m.school_id = ? and m.left_on is null", [$school->id]);

        return md5(json_encode([$school->forecasts_version, $school->recall_factor, $this->school->today(), $members], JSON_THROW_ON_ERROR));
    }

    /** @return list<array{Group, list<string>}> every group with who is in it now */
    private function groups(): array
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Group> $groups */
        $groups = Group::with('students', 'form.entries')->orderBy('name')->get();

        return array_values($groups->map(static fn (Group $group): array => [$group, array_values($group->students->pluck('id')->all())])->all());
    }

    /**
     * @param  array<string, list<ForecastTest>>  $tests  by student
     * @return list<ForecastTest>
     */
    private static function together(array $tests): array
    {
        return array_merge([], ...array_values($tests));
    }
}
