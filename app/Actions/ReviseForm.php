<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use App\Models\FormVersion;
use App\Models\Meeting;
use App\Models\Score;
use App\Models\User;
use Closure;
use Gorvan\Core\Form\Edit\FormEdit;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Form\FormDifference;
use Illuminate\Support\Facades\DB;

/**
 * Changes a form that is there: each change makes a version, and nobody's change is lost to another's. Who edits an
 * older version than the one that is there is merged with it where both touch different entries, and refused else.
 */
final class ReviseForm
{
    public function __construct(private readonly CutForm $cut, private readonly KeepScore $keep)
    {
    }

    /**
     * @param  int|null  $base  the version the edits were made on, null for whatever is there
     * @param  list<FormEdit>  $edits  one after the other, all or none
     *
     * @throws Refused|\Gorvan\Core\Reading\BadInput|\Gorvan\Core\Lesson\CutImpossible and nothing is changed
     */
    public function edit(Form $form, ?int $base, array $edits, ?User $by): void
    {
        $this->change($form, $base, static fn (CoreForm $score): CoreForm => array_reduce(
            $edits,
            static fn (CoreForm $so_far, FormEdit $edit): CoreForm => $edit->apply($so_far),
            $score,
        ), $by, static fn (FormDifference $since): array => self::clashes($since, $edits));
    }

    /**
     * The form becomes another one as a whole, as when a version is restored or a file imported over it.
     *
     * @param  Closure(CoreForm): CoreForm  $change
     * @param  string  $what  what is done, said before what changed
     *
     * @throws Refused|\Gorvan\Core\Reading\BadInput|\Gorvan\Core\Lesson\CutImpossible and nothing is changed
     */
    public function replace(Form $form, int $base, Closure $change, ?User $by, string $what): void
    {
        $this->change($form, $base, $change, $by, static fn (FormDifference $since): array => $since->isNone() ? [] : ['form'], $what);
    }

    /**
     * @param  Closure(CoreForm): CoreForm  $change
     * @param  Closure(FormDifference): list<string>  $clash  what of it changed since the base
     */
    private function change(Form $form, ?int $base, Closure $change, ?User $by, Closure $clash, string $what = ''): void
    {
        DB::transaction(function () use ($form, $base, $change, $by, $clash, $what): void {
            $row = Form::lockForUpdate()->findOrFail($form->id);
            $before = $row->score();
            if ($base !== null && $base !== $row->version) {
                $this->refuseClash($row, $before->form, $base, $clash);
            }
            $after = $change($before->form);
            $difference = FormDifference::between($before->form, $after);
            if ($difference->isNone()) {
                return;
            }
            $this->keepFirst($row, $before->form);
            if ($difference->isStructural()) {
                $this->pinPlans($row, $before);
            }
            ($this->keep)($row, $after, array_values(array_filter([$what, ...Told::of($difference, $before->form, $after)])), $by);
            if ($difference->changesPlan()) {
                ($this->cut)($row);
            }
        });
        $form->unsetRelations()->refresh();
    }

    /** @param  Closure(FormDifference): list<string>  $clash */
    private function refuseClash(Form $row, CoreForm $current, int $base, Closure $clash): void
    {
        $version = FormVersion::where('form_id', $row->id)->where('number', $base)->first();
        $ids = $version === null ? ['form'] : $clash(FormDifference::between($version->score(), $current));
        if ($ids === []) {
            return;
        }
        $latest = FormVersion::where('form_id', $row->id)->orderByDesc('number')->first();
        $who = User::where('school_id', $row->school_id)->where('id', $latest?->made_by)->value('name') ?? 'Someone else';
        $position = $current->positionOf($ids[0]);
        $place = $position === null ? 'this form' : "entry $position, \"{$current->at($position)->title}\",";
        throw Refused::conflict("$who changed $place since you opened it. Your change was not saved: look at what is there now, and make it again if it still fits.", $ids[0]);
    }

    /**
     * @param  list<FormEdit>  $edits
     * @return list<string> ids, or `form`
     */
    private static function clashes(FormDifference $since, array $edits): array
    {
        $touches = array_merge([], ...array_map(static fn (FormEdit $edit): array => $edit->touches(), $edits));
        $isStructural = array_filter($edits, static fn (FormEdit $edit): bool => $edit->isStructural()) !== [];

        return array_values([
            ...array_intersect($touches, $since->touched()),
            ...($since->form !== [] && in_array('form', $touches, true) ? ['form'] : []),
            ...($isStructural && $since->isStructural() ? ['form'] : []),
        ]);
    }

    /** A form from before versions were kept has none yet: what it was is kept before it changes. */
    private function keepFirst(Form $row, CoreForm $before): void
    {
        if (! FormVersion::where('form_id', $row->id)->where('number', $row->version)->exists()) {
            $row->versions()->create(['number' => $row->version, 'made_by' => null, 'made_at' => $row->updated_at ?? now(), 'what' => ['As it was.'], 'file' => (new \Gorvan\Core\Form\FormFileWriter)->write($before)]);
        }
    }

    /** Plans that name only the ends of their passages name every entry, before one of them goes or moves. */
    private function pinPlans(Form $row, Score $before): void
    {
        foreach (Meeting::whereHas('term', static fn ($term) => $term->where('form_id', $row->id))->whereNotNull('plan')->get() as $meeting) {
            $plan = $meeting->plan ?? [];
            $named = static fn (mixed $stored): mixed => is_array($stored) && ! isset($stored['ids'])
                ? [...$stored, 'ids' => array_map($before->idAt(...), $before->positions($stored))] : $stored;
            foreach (['lesson', 'recap', 'run_through'] as $key) {
                $plan[$key] = $named($plan[$key] ?? null);
            }
            $plan['review'] = array_map($named, is_array($plan['review'] ?? null) ? $plan['review'] : []);
            if ($plan != $meeting->plan) {
                $meeting->update(['plan' => $plan]);
            }
        }
    }
}
