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
use Gorvan\Core\Form\FormFileWriter;
use Gorvan\Core\Form\FormReversal;
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
     * @param  int  $base  the version it was decided on; a newer one is not overwritten
     * @param  Closure(CoreForm): CoreForm  $change
     * @param  string  $what  what is done, said before what changed
     *
     * @throws Refused|\Gorvan\Core\Reading\BadInput|\Gorvan\Core\Lesson\CutImpossible and nothing is changed
     */
    public function replace(Form $form, int $base, Closure $change, ?User $by, string $what): void
    {
        $this->change($form, $base, $change, $by, static fn (FormDifference $since): array => $since->isNone() ? [] : [...$since->touched(), 'form'], $what);
    }

    /**
     * The change that made a version is taken back out; what came after it stays.
     *
     * @throws Refused when the same was changed again since, or it is not known what was before
     */
    public function takeBack(Form $form, int $number, ?User $by): void
    {
        [$after, $before] = [$this->version($form, $number), $this->version($form, $number - 1)];
        $this->change($form, null, function (CoreForm $now) use ($before, $after, $number): CoreForm {
            $clashes = FormReversal::clashes($before, $after, $now);
            if ($clashes !== []) {
                throw Refused::conflict(self::place($now, $clashes[0])." was changed again since, so version $number cannot be taken back alone. Compare the versions and restore the one you want.", $clashes[0]);
            }

            return FormReversal::of($before, $after, $now);
        }, $by, static fn (): array => [], "Took back version $number.");
    }

    /** A state the form was in. @throws Refused when it is not kept */
    public function version(Form $form, int $number): CoreForm
    {
        if ($number === $form->version) {
            return $form->score()->form;
        }

        return (FormVersion::where('form_id', $form->id)->where('number', $number)->first() ?? throw Refused::because("Version $number of this form is not kept.", 'number'))->score();
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
        $place = lcfirst(self::place($current, $ids[0]));
        throw Refused::conflict("$who changed $place since you opened it. Your change was not saved: look at what is there now, and make it again if it still fits.", $ids[0]);
    }

    private static function place(CoreForm $form, string $id): string
    {
        $position = $form->positionOf($id);

        return $position === null ? 'This form' : "Entry $position, \"{$form->at($position)->title}\",";
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
            $row->versions()->create(['number' => $row->version, 'made_by' => null, 'made_at' => $row->updated_at ?? now(), 'what' => ['As it was.'], 'file' => (new FormFileWriter)->write($before)]);
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
