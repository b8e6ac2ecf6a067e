<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\PrincipleSet;
use App\Models\PrincipleVersion;
use App\Models\User;
use App\Models\Viewer;
use Closure;
use Gorvan\Core\Principle\Edit\SetEdit;
use Gorvan\Core\Principle\PrincipleSet as CoreSet;
use Gorvan\Core\Principle\SetDifference;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/**
 * Changes a set that is there: each change makes a version. Who edits an older version than the one that is there is merged
 * with it where both touch different principles, and refused else.
 */
final class RevisePrinciples
{
    public function __construct(private readonly KeepPrinciples $keep, private readonly ReplanGroup $replan)
    {
    }

    /**
     * @param  int  $base  the version the edits were made on
     * @param  list<SetEdit>  $edits  one after the other, all or none
     * @param  string|null  $sent  made on the device: sent twice, since an answer was lost, they are made once
     *
     * @throws Refused|\Gorvan\Core\Reading\BadInput and nothing is changed
     */
    public function edit(PrincipleSet $row, int $base, array $edits, Viewer $by, ?string $sent = null): void
    {
        $touches = array_merge([], ...array_map(static fn (SetEdit $edit): array => $edit->touches(), $edits));
        $this->change($row, $base, $touches, static fn (CoreSet $set): CoreSet => array_reduce($edits, static fn (CoreSet $so_far, SetEdit $edit): CoreSet => $edit->on($so_far), $set), $by, null, $sent);
    }

    /** The set becomes another one as a whole: a file read over it, or an earlier state. */
    public function replace(PrincipleSet $row, int $base, CoreSet $set, Viewer $by, Message $what): void
    {
        $this->change($row, $base, null, static fn (): CoreSet => $set, $by, $what);
    }

    /** A state the set was in. @throws Refused when it is not kept */
    public function version(PrincipleSet $row, int $number): CoreSet
    {
        return ($row->versions()->where('number', $number)->first() ?? throw Refused::because(Message::of('edit.version_gone', number: $number), 'number'))->set();
    }

    /**
     * @param  list<string>|null  $touches  null for all of it
     * @param  Closure(CoreSet): CoreSet  $change
     */
    private function change(PrincipleSet $set, int $base, ?array $touches, Closure $change, Viewer $by, ?Message $what = null, ?string $sent = null): void
    {
        DB::transaction(function () use ($set, $base, $touches, $change, $by, $what, $sent): void {
            $row = PrincipleSet::lockForUpdate()->findOrFail($set->id);
            if ($sent !== null && PrincipleVersion::where('set_id', $row->id)->where('sent', $sent)->exists()) {
                return;
            }
            $before = $row->set();
            if ($base !== $row->version) {
                $this->refuseClash($row, $before, $base, $touches);
            }
            $after = $change($before);
            $difference = SetDifference::between($before, $after);
            if ($difference->isNone()) {
                return;
            }
            ($this->keep)($row, $after, array_values(array_filter([$what, ...$difference->said()])), $by, $sent);
            if ($difference->changesPlan()) {
                foreach (Group::where('principle_set_id', $row->id)->pluck('id') as $group) {
                    $this->replan->asked($group, 'cause.principles');
                }
            }
        });
        $set->unsetRelations()->refresh();
    }

    /** @param  list<string>|null  $touches */
    private function refuseClash(PrincipleSet $row, CoreSet $current, int $base, ?array $touches): void
    {
        $version = PrincipleVersion::where('set_id', $row->id)->where('number', $base)->first();
        $since = $version === null ? null : SetDifference::between($version->set(), $current);
        $clash = match (true) {
            $since === null => SetDifference::HEAD,
            $touches === null => $since->touched()[0] ?? null,
            default => array_values(array_intersect($touches, $since->touched()))[0] ?? null,
        };
        if ($clash === null) {
            return;
        }
        $who = User::where('school_id', $row->school_id)->where('id', $row->versions()->first()?->made_by)->value('name');
        $place = $clash === SetDifference::HEAD ? Message::of('edit.set') : $current->named($clash);
        throw Refused::conflict(is_string($who) ? Message::of('edit.clash', who: $who, place: $place) : Message::of('edit.clash_someone', place: $place), $clash);
    }
}
