<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Form;

/** The form takes lessons for its own. */
final readonly class KeepLessons implements FormEdit
{
    /** @param  list<list<string>>  $lessons  each as the ids of its entries */
    public function __construct(private array $lessons)
    {
    }

    public function apply(Form $form): Form
    {
        return $form->with(['lessons' => $this->lessons]);
    }

    public function touches(): array
    {
        return ['form'];
    }

    public function isStructural(): bool
    {
        return false;
    }
}
