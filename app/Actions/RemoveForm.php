<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Form;
use App\Models\Group;
use Gorvan\Core\Reading\Message;

/** Takes a form back that nobody learns. */
final class RemoveForm
{
    public function __invoke(Form $form): void
    {
        $groups = Group::where('form_id', $form->id)->orderBy('name')->pluck('name');
        if ($groups->isNotEmpty() || Course::where('form_id', $form->id)->exists()) {
            throw Refused::conflict($groups->isEmpty() ? Message::of('form.learnt') : Message::of('form.learnt_by', groups: array_values($groups->all())));
        }
        $form->delete();
    }
}
