<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;

/** Entries that are taken out. References to them are left; the audit tells of them. */
final readonly class RemoveEntries implements FormEdit
{
    /** @param  list<string>  $ids */
    public function __construct(public array $ids)
    {
    }

    public function apply(Form $form): Form
    {
        foreach ($this->ids as $id) {
            Sequence::find($form, $id);
        }

        return Sequence::of($form, array_values(array_filter($form->entries, fn (Entry $entry): bool => ! in_array($entry->id, $this->ids, true))));
    }

    public function touches(): array
    {
        return $this->ids;
    }

    public function isStructural(): bool
    {
        return true;
    }
}
