<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Course;
use App\Models\Form;
use App\Models\Group;
use App\Models\JoinedForm;
use App\Models\KeptLesson;
use Gorvan\Core\Reading\Message;

/** Takes a form back that nobody learns. */
final class RemoveForm
{
    public function __invoke(Form $form): void
    {
        $this->would($form)->orRefuse();
        $form->delete();
    }

    public function would(Form $form): Removal
    {
        $groups = Group::where('form_id', $form->id)->orderBy('name')->pluck('name');
        if ($groups->isNotEmpty() || Course::where('form_id', $form->id)->exists()) {
            return Removal::refused($groups->isEmpty() ? Message::of('form.learnt') : Message::of('form.learnt_by', groups: array_values($groups->all())));
        }

        return Removal::takes([
            'entries' => $form->entries()->count(),
            'versions' => $form->versions()->count(),
            'lessons' => KeptLesson::where('form_id', $form->id)->count(),
            'joins_sets' => JoinedForm::where('form_id', $form->id)->count(),
        ]);
    }
}
