<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Form;

/** Looks for one kind of thing that does not add up. */
interface FindingRule
{
    /** @return list<Finding> in the order of the form */
    public function findings(Form $form): array;
}
