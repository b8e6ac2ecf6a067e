<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Entry;
use App\Models\ForecastTests;
use App\Models\Group;
use App\Models\School;
use App\Models\Student;
use App\Record\FactSource;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Standing\Calibration;
use Gorvan\Core\Standing\ForecastTest;
use Gorvan\Core\Term\ExpectedStudent;

/** Keeps, for each student of a group, what their marks have said of the forecasts, and how far forecasts can be trusted by that. */
final class MeasureTrust
{
    public function __construct(private readonly CurrentSchool $school, private readonly FactSource $facts)
    {
    }

    /**
     * Marks of these students came or went: what theirs have said is measured again when somebody asks.
     *
     * @param  list<string>  $students
     */
    public static function outdated(array $students): void
    {
        ForecastTests::whereIn('student_id', Student::readWith($students)->select('id'))->delete();
    }

    public function __invoke(Group $group): void
    {
        $this->of(array_values($group->students()->pluck('students.id')->all()));
    }

    /** @param  list<string>  $students */
    public function of(array $students): void
    {
        // In one order, as whoever writes to their records does.
        Student::whereKey($students)->orderBy('id')->lock('for no key update')->toBase()->pluck('id');
        $facts = $students === [] ? [] : $this->facts->of($students, null, Day::number($this->school->today()));
        $sided = array_fill_keys(Entry::where('sided', true)->pluck('id')->all(), true);
        $before = ForecastTests::whereIn('student_id', $students)->toBase()->pluck('tests', 'student_id')->all();
        $changed = false;
        $rows = [];
        foreach ($facts as $student => $own) {
            $tests = Calibration::of($own, static fn (string $key): bool => isset($sided[$key]), $this->school->get()->memory());
            $kept = json_encode(array_map(static fn (ForecastTest $test): array => [$test->observed, $test->ages], $tests->each), JSON_THROW_ON_ERROR);
            $changed = $changed || ($before[$student] ?? null) !== $kept;
            Student::whereKey($student)->update(['trust' => $tests->tests === 0 ? null : ExpectedStudent::trustBy($tests->observed, $tests->predicted)]);
            $rows[] = ['school_id' => $this->school->id(), 'student_id' => $student, 'tests' => $kept];
        }
        ForecastTests::upsert($rows, ['school_id', 'student_id'], ['tests']);
        if ($changed) {
            School::whereKey($this->school->id())->increment('forecasts_version');
        }
    }
}
