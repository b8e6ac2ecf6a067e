<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Http\FormEdition;
use App\Models\Form;

/** Which form something is about, to be asked for by itself: once, and not with every answer. */
final readonly class FormRefData
{
    /** @param  string  $edition  of the form as it is meant here; another edition is another state of it */
    public function __construct(
        public string $id,
        public string $title,
        public string $edition,
    ) {
    }

    /** The form as it is cut for no group. */
    public static function of(Form $form): self
    {
        return new self($form->id, $form->title, FormEdition::own($form));
    }
}
