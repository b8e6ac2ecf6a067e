<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\ReadForecasts;
use App\Actions\Refused;
use App\Actions\StandStudents;
use App\Http\Data\FactorChange;
use App\Http\Data\GroupReliability;
use App\Http\Data\ReliabilityData;
use App\Http\Data\ReliabilityPage;
use App\Models\CurrentSchool;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Standing\ForecastTest;
use Gorvan\Core\Standing\Reliability;

/** Whether the forecasts were true, and what another reading of recall would change. */
final class ReliabilityPages
{
    public function __construct(private readonly CurrentSchool $school, private readonly ReadForecasts $forecasts, private readonly StandStudents $stand)
    {
    }

    public function now(): ReliabilityPage
    {
        $tests = ($this->forecasts)();
        $all = self::together($tests);
        $adopted = $this->school->get()->recall_factor;
        $of = static fn (ForecastTest ...$some): ReliabilityData => ReliabilityData::of(Reliability::of(array_values($some), $adopted ?? 1.0));

        return new ReliabilityPage(
            $of(...$all),
            array_map(static fn (array $one): GroupReliability => new GroupReliability($one[0]->id, $one[0]->name, $of(...self::together(array_intersect_key($tests, array_flip($one[1]))))), $this->forecasts->groups()),
            $adopted,
            Reliability::factor($all),
            Reliability::ENOUGH,
        );
    }

    /** @throws Refused while there are too few tests */
    public function change(): FactorChange
    {
        $all = self::together(($this->forecasts)());
        $factor = Reliability::factor($all) ?? throw Refused::because(Message::of('forecast.too_few', enough: Reliability::ENOUGH));
        $now = $this->school->get()->recall_factor ?? 1.0;

        return new FactorChange(
            $factor,
            ReliabilityData::of(Reliability::of($all, $now)),
            ReliabilityData::of(Reliability::of($all, $factor)),
            $this->stand->holding(new MemoryModel($now)),
            $this->stand->holding(new MemoryModel($factor)),
        );
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
