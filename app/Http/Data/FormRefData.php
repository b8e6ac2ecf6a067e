<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Http\FormEdition;
use App\Models\Form;
use OpenApi\Attributes as OA;

/** Which form something is about, to be asked for by itself: once, and not with every answer. */
#[OA\Schema]
final readonly class FormRefData
{
    /** @param  string  $edition  of the form as it is meant here; another edition is another state of it */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $edition,
    ) {
    }

    /** The form as it is cut for no group. */
    public static function of(Form $form): self
    {
        return new self($form->id, $form->title, FormEdition::own($form));
    }
}
