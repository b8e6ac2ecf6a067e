<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\MeasureReliability;
use App\Actions\ReliabilityWork;
use App\Models\CurrentSchool;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Works out, beside the page that waits for it, whether the forecasts of a school were true. */
final class MeasureReliabilityJob implements ShouldQueue
{
    use Leased;
    use Queueable;

    public int $timeout = 300;

    public function __construct(public readonly string $school)
    {
    }

    public function handle(CurrentSchool $current, MeasureReliability $measure): void
    {
        $this->leased(
            $current,
            'reliability',
            static fn (): true => true,
            fn (true $all, Lease $lease): ReliabilityWork => $measure->apart(fn (callable $part): mixed => $current->duringId($this->school, $part), $lease->renew(...)),
            static fn (true $all, ReliabilityWork $work) => $measure->keep($work),
        );
    }
}
