<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Form;
use App\Models\Group;
use App\Models\JoinedForm;
use App\Models\PrincipleSet;
use App\Models\Term;
use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\Edit\BiteEdit;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/** Joins the principles of a set to the entries of a form. */
final class JoinPrinciples
{
    public function __construct(private readonly ReplanGroup $replan)
    {
    }

    /**
     * @param  int|null  $base  the version that is put back as a whole; null where a change stands on whatever is there
     *
     * @throws Refused and nothing is changed
     */
    public function __invoke(PrincipleSet $set, Form $form, BiteEdit $edit, ?int $base): JoinedForm
    {
        return DB::transaction(function () use ($set, $form, $edit, $base): JoinedForm {
            PrincipleSet::lockForUpdate()->findOrFail($set->id); // two hands on one set go one after the other
            $row = JoinedForm::between($set->id, $form->id);
            if ($base !== null && $base !== ($row->version ?? 0)) {
                throw Refused::conflict(Message::of('principles.joined_since'));
            }
            $before = $row?->bites() ?? new Bites;
            $after = $edit->on($before, $set->set(), $form->placed()->form);
            if ($row !== null && $after->toData() == $before->toData()) {
                return $row;
            }

            return $this->write($set, $form, $after, $row->version ?? 0);
        });
    }

    public function write(PrincipleSet $set, Form $form, Bites $bites, int $version): JoinedForm
    {
        $row = JoinedForm::between($set->id, $form->id) ?? new JoinedForm(['set_id' => $set->id, 'form_id' => $form->id]);
        $row->fill(['document' => json_encode($bites->toData(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), 'version' => $version + 1])->save();
        $groups = Group::where('principle_set_id', $set->id)->whereIn('id', Term::whereIn('id', Course::where('form_id', $form->id)->select('term_id'))->select('group_id'))->pluck('id');
        foreach ($groups as $group) {
            $this->replan->asked($group, 'cause.bites');
        }

        return $row;
    }
}
