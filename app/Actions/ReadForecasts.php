<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\ForecastTests;
use App\Models\Student;
use Gorvan\Core\Standing\ForecastTest;

/** What everyone's marks have said of the forecasts. */
final class ReadForecasts
{
    /** Of so many students at once it is worked out, where nobody has yet. */
    private const AT_ONCE = 50;

    public function __construct(private readonly MeasureTrust $measure)
    {
    }

    /** Measures some of those whom nobody has measured since their marks changed; how many. */
    public function measure(): int
    {
        $students = Student::doesntHave('forecastTests')->orderBy('id')->limit(self::AT_ONCE)->pluck('id')->all();
        $this->measure->of($students);

        return count($students);
    }

    /** @return array<string, list<ForecastTest>> by student */
    public function __invoke(): array
    {
        while ($this->measure() > 0);
        $tests = [];
        foreach (ForecastTests::whereIn('student_id', Student::whereNull('same_as')->select('id'))->orderBy('student_id')->toBase()->pluck('tests', 'student_id') as $student => $kept) {
            /** @var list<array{float, non-empty-list<float>}> $own */
            $own = json_decode($kept, true, 4, JSON_THROW_ON_ERROR);
            foreach ($own as [$observed, $ages]) {
                $tests[$student][] = new ForecastTest($observed, $ages);
            }
        }

        return $tests;
    }
}
