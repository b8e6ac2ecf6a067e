<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Form;
use App\Models\Group;
use App\Models\Term;

/** Takes a form back that nobody learns. */
final class RemoveForm
{
    public function __invoke(Form $form): void
    {
        $groups = Group::where('form_id', $form->id)->orderBy('name')->pluck('name');
        if ($groups->isNotEmpty() || Term::where('form_id', $form->id)->exists()) {
            throw Refused::conflict('This form is learnt by '.($groups->implode(', ') ?: 'a group').', so it stays.');
        }
        $form->delete();
    }
}
