<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Form;

/** One change of a form, as an editor makes it. */
interface FormEdit
{
    /** @throws \Gorvan\Core\Reading\BadInput when it cannot be made; nothing is changed then */
    public function apply(Form $form): Form;

    /**
     * The entries it changes, and those it needs to find where they were.
     *
     * @return list<string> ids
     */
    public function touches(): array;

    /** Whether entries come, go or move. */
    public function isStructural(): bool;
}
