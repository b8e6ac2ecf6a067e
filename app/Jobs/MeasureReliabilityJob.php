<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\MeasureReliability;
use App\Models\CurrentSchool;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Queue\Queueable;

/** Works out, beside the page that waits for it, whether the forecasts of a school were true. */
final class MeasureReliabilityJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 300;

    public function __construct(public readonly string $school)
    {
    }

    public function handle(CurrentSchool $current, MeasureReliability $measure): void
    {
        $current->during($current->find($this->school) ?? throw new ModelNotFoundException, static function () use ($measure): void {
            $measure();
        });
    }
}
