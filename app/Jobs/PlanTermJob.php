<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\MeasureTrust;
use App\Actions\PlanTerm;
use App\Models\CurrentSchool;
use App\Models\Term;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Plans a term again, outside any request. */
final class PlanTermJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 300;

    public function __construct(public readonly string $school, public readonly string $term)
    {
    }

    public function handle(CurrentSchool $current, PlanTerm $plan, MeasureTrust $trust): void
    {
        $current->during($current->find($this->school) ?? throw new ModelNotFoundException, function () use ($plan, $trust): void {
            $term = Term::find($this->term);
            if ($term !== null && $term->isBeingPlanned()) {
                $trust($term->group()->firstOrFail());
                $plan($term);
            }
        });
    }

    /** A plan that cannot be made is not waited for: the old one stays, and the next change asks again. */
    public function failed(?Throwable $why): void
    {
        app(CurrentSchool::class)->during(app(CurrentSchool::class)->find($this->school) ?? throw new ModelNotFoundException, fn () => Term::whereKey($this->term)->update(['plan_answered' => DB::raw('plan_asked')]));
    }
}
