<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\MeasureReliability;
use App\Http\Data\ReliabilityPage;
use App\Jobs\MeasureReliabilityJob;
use App\Models\CurrentSchool;

/** Whether the forecasts were true: as it was last worked out, and worked out again where something has changed. */
final class ReliabilityPages
{
    public function __construct(private readonly CurrentSchool $school, private readonly MeasureReliability $measure)
    {
    }

    public function now(): ReliabilityPage
    {
        $isCurrent = $this->measure->isCurrent();
        if (! $isCurrent && ! $this->measure->isLong()) {
            ($this->measure)();
            $isCurrent = true;
        } elseif (! $isCurrent && $this->measure->isFirstToAsk()) {
            MeasureReliabilityJob::dispatch($this->school->id());
        }

        return ReliabilityPage::of($this->measure->kept(), $this->school->get()->recall_factor, ! $isCurrent);
    }
}
