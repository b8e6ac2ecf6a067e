<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PlanChange;
use App\Models\Term;
use App\Models\Viewer;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Takes a change of a term back: what it touched is as it was, if nobody has touched it since. */
final class TakeBackChange
{
    public function __construct(private readonly TermSnapshot $snapshot, private readonly PlanTerm $plan, private readonly ReadTermDraft $draft, private readonly PlanViews $views)
    {
    }

    public function __invoke(PlanChange $change, Viewer $by): void
    {
        $term = $change->term;
        $was = $this->views->of($term, ($this->draft)($term));
        $made = DB::transaction(function () use ($change, $by): ?PlanChange {
            $term = Term::lockForUpdate()->findOrFail($change->term_id);
            $change->refresh();
            if ($change->is_taken_back) {
                return null; // pressed twice
            }
            if ($change->before === null || $change->after === null) {
                throw Refused::conflict(Message::of('change.not_by_hand'));
            }
            $before = json_decode($change->before, true, 64, JSON_THROW_ON_ERROR);
            $after = json_decode($change->after, true, 64, JSON_THROW_ON_ERROR);
            $touched = json_decode($change->touched, true, 8, JSON_THROW_ON_ERROR);
            $now = json_decode(json_encode($this->snapshot->of($term), JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR);
            foreach ($touched as $id) {
                $of = static fn (array $one): mixed => $one['meetings'][$id] ?? $one['courses'][$id] ?? null;
                if ($of($now) != $of($after)) {
                    throw Refused::conflict(Message::of('change.moved_on'));
                }
            }
            $this->snapshot->restore($term, $before, $touched);
            Term::whereKey($term->id)->increment('plan_asked');
            $change->update(['is_taken_back' => true]);

            return PlanChange::create([
                'term_id' => $term->id, 'made_by' => $by->authorId(), 'plan' => $term->plan_asked + 1, 'touched' => $change->touched,
                'cause' => json_encode(Message::of('cause.taken_back'), JSON_THROW_ON_ERROR), 'difference' => '[]',
                'before' => $change->after, 'after' => $change->before,
            ]);
        });
        if ($made !== null) {
            ($this->plan)(Term::findOrFail($term->id), $made, $was);
        }
    }
}
