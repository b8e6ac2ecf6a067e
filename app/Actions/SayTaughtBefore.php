<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\Group;
use App\Models\LoggedClass;
use App\Models\Meeting;
use App\Models\Term;
use App\Models\Viewer;
use DateTimeImmutable;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Record\ClassLog;
use Gorvan\Core\Record\Doing;
use Gorvan\Core\Record\DoingKind;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** "Already taught": what a group was taught before it was kept here, any movements of its form, for those who are in it. The latest word stands. */
final class SayTaughtBefore
{
    public function __construct(private readonly CurrentSchool $school, private readonly KeepLog $keep, private readonly WithdrawFacts $withdraw, private readonly AskForPlan $ask)
    {
    }

    /**
     * @param  string  $id  a ULID made by the client; the same one twice changes nothing
     * @param  non-empty-list<Passage>  $passages  what was taught, in the order of the form
     * @param  string|null  $on  day `Y-m-d`; a week before the group's first meeting otherwise
     */
    public function __invoke(Group $group, string $id, array $passages, ?string $on, DateTimeImmutable $at, Viewer $by): void
    {
        DB::transaction(function () use ($group, $id, $passages, $on, $at, $by): void {
            // A log refers to the group: whoever keeps one need not wait for this.
            Group::lock('for no key update')->findOrFail($group->id);
            $this->ask->hold([$group->id]);
            if (LoggedClass::whereKey($id)->exists()) {
                return;
            }
            $placed = $group->form->placed();
            if (max(array_map(static fn (Passage $one): int => $one->to, $passages)) > $placed->form->count()) {
                throw Refused::because(Message::of('before.entry', count: $placed->form->count()), 'to');
            }
            $on ??= $this->usualDay($group);
            if ($on > $this->school->today()) {
                throw Refused::because(Message::of('before.future'), 'on');
            }
            foreach (LoggedClass::standing()->where('group_id', $group->id)->whereNull('meeting_id')->get() as $earlier) {
                $this->withdraw->log($earlier, (string) Str::ulid(), $at, $by);
            }
            $log = new ClassLog($id, null, $on, $at, null, array_values($group->students()->pluck('students.id')->all()), [
                new Doing(DoingKind::Before, $placed->id, array_values(array_unique(array_merge(...array_map($placed->form->countedIdsOf(...), $passages))))),
            ]);
            ($this->keep)($group->id, null, $log, $by);
            foreach (Term::where('group_id', $group->id)->where('ends_on', '>=', $this->school->today())->orderBy('id')->get() as $term) {
                ($this->ask)($term, Message::of('cause.before'));
            }
        });
    }

    private function usualDay(Group $group): string
    {
        $first = Meeting::whereIn('term_id', Term::where('group_id', $group->id)->select('id'))->min('on');
        $week = is_string($first) ? Day::text(Day::number($first) - 7) : $this->school->today();

        return min($week, $this->school->today());
    }
}
