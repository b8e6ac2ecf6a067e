<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use App\Models\FormVersion;
use App\Models\User;
use App\Models\Viewer;
use Closure;
use Gorvan\Core\Form\Change\FormDifference;
use Gorvan\Core\Form\Edit\FormEdit;
use Gorvan\Core\Form\Edit\FormReversal;
use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/**
 * Changes a form that is there: each change makes a version, and nobody's change is lost to another's. Who edits an
 * older version than the one that is there is merged with it where both touch different entries, and refused else.
 */
final class ReviseForm
{
    public function __construct(private readonly CutForm $cut, private readonly KeepForm $keep, private readonly RecutCourses $recut, private readonly KeepOwnLessons $lessons)
    {
    }

    /**
     * @param  int|null  $base  the version the edits were made on, null for whatever is there
     * @param  list<FormEdit>  $edits  one after the other, all or none
     * @param  string|null  $sent  made on the device: sent twice, since an answer was lost, they are made once
     * @return list<Message> what it moved in running terms
     *
     * @throws Refused|\Gorvan\Core\Reading\BadInput|\Gorvan\Core\Lesson\CutImpossible and nothing is changed
     */
    public function edit(Form $form, ?int $base, array $edits, ?Viewer $by, ?string $sent = null): array
    {
        return $this->change($form, $base, static fn (CoreForm $score): CoreForm => array_reduce(
            $edits,
            static fn (CoreForm $so_far, FormEdit $edit): CoreForm => $edit->apply($so_far),
            $score,
        ), $by, static fn (FormDifference $since): array => self::clashes($since, $edits), sent: $sent);
    }

    /**
     * The form becomes another one as a whole, as when a version is restored or a file imported over it.
     *
     * @param  int  $base  the version it was decided on; a newer one is not overwritten
     * @param  Closure(CoreForm): CoreForm  $change
     * @param  Message  $what  what is done, said before what changed
     * @return list<Message> what it moved in running terms
     *
     * @throws Refused|\Gorvan\Core\Reading\BadInput|\Gorvan\Core\Lesson\CutImpossible and nothing is changed
     */
    public function replace(Form $form, int $base, Closure $change, ?Viewer $by, Message $what): array
    {
        return $this->change($form, $base, $change, $by, static fn (FormDifference $since): array => $since->isNone() ? [] : [...$since->touched(), 'form'], $what);
    }

    /**
     * The change that made a version is taken back out; what came after it stays.
     *
     * @return list<Message> what it moved in running terms
     *
     * @throws Refused when the same was changed again since, or it is not known what was before
     */
    public function takeBack(Form $form, int $number, ?Viewer $by): array
    {
        [$after, $before] = [$this->version($form, $number), $this->version($form, $number - 1)];

        return $this->change($form, null, function (CoreForm $now) use ($before, $after, $number): CoreForm {
            $clashes = FormReversal::clashes($before, $after, $now);
            if ($clashes !== []) {
                throw Refused::conflict(Message::of('edit.changed_since', place: self::place($now, $clashes[0]), number: $number), $clashes[0]);
            }

            return FormReversal::of($before, $after, $now);
        }, $by, static fn (): array => [], Message::of('version.took_back', number: $number));
    }

    /** A state the form was in. @throws Refused when it is not kept */
    public function version(Form $form, int $number): CoreForm
    {
        if ($number === $form->version) {
            return $form->placed()->form;
        }

        return (FormVersion::where('form_id', $form->id)->where('number', $number)->first() ?? throw Refused::because(Message::of('edit.version_gone', number: $number), 'number'))->form();
    }

    /**
     * @param  Closure(CoreForm): CoreForm  $change
     * @param  Closure(FormDifference): list<string>  $clash  what of it changed since the base
     * @return list<Message> what it moved in running terms
     */
    private function change(Form $form, ?int $base, Closure $change, ?Viewer $by, Closure $clash, ?Message $what = null, ?string $sent = null): array
    {
        $moved = DB::transaction(function () use ($form, $base, $change, $by, $clash, $what, $sent): array {
            $row = Form::lockForUpdate()->findOrFail($form->id);
            if ($sent !== null && FormVersion::where('form_id', $row->id)->where('sent', $sent)->exists()) {
                return [];
            }
            $before = $row->placed()->form;
            if ($base !== null && $base !== $row->version) {
                $this->refuseClash($row, $before, $base, $clash);
            }
            $after = $change($before);
            $difference = FormDifference::between($before, $after);
            if ($difference->isNone()) {
                return $after->lessons === $before->lessons ? [] : ($this->lessons)($row, $after->lessons);
            }
            $this->keepFirst($row, $before);
            ($this->keep)($row, $after, array_values(array_filter([$what, ...Told::of($difference, $before, $after)])), $by);
            $row->versions()->where('number', $row->version)->update(['sent' => $sent]);
            if (! $difference->changesPlan() && $after->lessons === $before->lessons) {
                return [];
            }
            ($this->cut)($row);

            return ($this->recut)($row, isOnlyOfForm: ! $difference->changesPlan());
        });
        $form->unsetRelations()->refresh();

        return $moved;
    }

    /** @param  Closure(FormDifference): list<string>  $clash */
    private function refuseClash(Form $row, CoreForm $current, int $base, Closure $clash): void
    {
        $version = FormVersion::where('form_id', $row->id)->where('number', $base)->first();
        $ids = $version === null ? ['form'] : $clash(FormDifference::between($version->form(), $current));
        if ($ids === []) {
            return;
        }
        $latest = FormVersion::where('form_id', $row->id)->orderByDesc('number')->first();
        $who = User::where('school_id', $row->school_id)->where('id', $latest?->made_by)->value('name');
        throw Refused::conflict(Message::of(is_string($who) ? 'edit.clash' : 'edit.clash_someone', ...(is_string($who) ? ['who' => $who] : []), place: self::place($current, $ids[0])), $ids[0]);
    }

    private static function place(CoreForm $form, string $id): Message
    {
        $position = $form->positionOf($id);

        return $position === null ? Message::of('edit.form') : Message::of('edit.entry', position: $position, title: $form->at($position)->title);
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
            $row->versions()->create(['number' => $row->version, 'made_by' => null, 'made_at' => $row->updated_at ?? now(), 'what' => KeepForm::told([Message::of('version.as_it_was')]), 'file' => (new FormFileWriter)->write($before)]);
        }
    }
}
