<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Meeting;
use App\Models\PlanChange;
use App\Models\Term;
use App\Models\Viewer;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Term\Change\ChangeRefused;
use Gorvan\Core\Term\Change\DraftMeeting;
use Gorvan\Core\Term\Change\TermDraft;
use Gorvan\Core\Term\Closure;
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
            $this->refuseUnlessFree($term, $before, $after, $touched);
            $this->snapshot->restore($term, $before, $after, $touched);
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

    /**
     * Where a meeting was something else may be by now.
     *
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @param  list<string>  $touched
     */
    private function refuseUnlessFree(Term $term, array $before, array $after, array $touched): void
    {
        $now = ($this->draft)($term);
        $closures = array_map(static fn (array $one): Closure => new Closure($one['from'], $one['to']), TermSnapshot::closures($before['closures'], $after['closures'], $term->closures));
        $open = array_column($now->meetings, 'isOpen', 'id');
        $meetings = array_filter($now->meetings, static fn (DraftMeeting $one): bool => ! in_array($one->id, $touched, true));
        foreach ($touched as $id) {
            if (isset($before['meetings'][$id])) {
                $meetings[] = $this->draft->meeting((new Meeting)->newFromBuilder(['id' => $id, 'school_id' => $term->school_id, ...$before['meetings'][$id]]), ($open[$id] ?? true) === false);
            }
        }
        try {
            (new TermDraft($now->from, $now->to, $now->today, $closures, array_values($meetings)))->checkComingFrom($now);
        } catch (ChangeRefused $e) {
            throw Refused::conflict($e->reason);
        }
    }
}
