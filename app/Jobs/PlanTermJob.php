<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\MeasureTrust;
use App\Actions\PlanTerm;
use App\Actions\TermWork;
use App\Models\CurrentSchool;
use App\Models\Term;
use App\Models\UnknownSchool;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Plans a term again, outside any request. */
final class PlanTermJob implements ShouldQueue
{
    use Leased;
    use Queueable;

    public int $timeout = 300;

    public function __construct(public readonly string $school, public readonly string $term)
    {
    }

    public function handle(CurrentSchool $current, PlanTerm $plan, MeasureTrust $trust): void
    {
        $this->leased(
            $current,
            "term/$this->term",
            function () use ($plan, $trust): ?TermWork {
                // Nobody takes the term away between its row and what belongs to it.
                $term = Term::lock('for key share')->find($this->term);
                if ($term === null || ! $term->isBeingPlanned()) {
                    return null;
                }
                $trust($term->group()->firstOrFail());
                $work = $plan->read($term);
                if ($work === null) {
                    $term->update(['plan_answered' => $term->plan_asked]); // it is over by now, and stays as it was
                }

                return $work;
            },
            static fn (TermWork $work, Lease $lease) => $plan->compute($work, $lease->renew(...)),
            $plan->keep(...),
        );
    }

    /** A plan that cannot be made is not waited for: the old one stays, and the next change asks again. */
    public function failed(?Throwable $why): void
    {
        try {
            app(CurrentSchool::class)->duringId($this->school, fn () => Term::whereKey($this->term)->update(['plan_answered' => DB::raw('plan_asked')]));
        } catch (UnknownSchool) {
            // it has gone meanwhile, and its terms with it
        }
    }
}
