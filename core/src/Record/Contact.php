<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use Gorvan\Core\Form\Side;

/** What one doing of a class was for one student: contact with an entry of a form, or with a principle. */
final readonly class Contact
{
    /** @param  string|null  $form  of the entry, as the log names it; null for a principle, or where the log names none */
    public function __construct(public FactKind $kind, public SubjectKind $of, public ?string $form, public string $id, public ?Side $side)
    {
    }
}
