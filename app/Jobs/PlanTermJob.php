<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\PlanTerm;
use App\Models\CurrentSchool;
use App\Models\School;
use App\Models\Term;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Plans a term again, outside any request. */
final class PlanTermJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 300;

    public function __construct(public readonly string $school, public readonly string $term)
    {
    }

    public function handle(CurrentSchool $current, PlanTerm $plan): void
    {
        $current->during(School::findOrFail($this->school), function () use ($plan): void {
            $term = Term::find($this->term);
            if ($term !== null && $term->isBeingPlanned()) {
                $plan($term);
            }
        });
    }
}
