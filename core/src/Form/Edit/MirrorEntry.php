<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\EntryMirror;
use Gorvan\Core\Form\Form;

/** The other side of an entry is put after it. */
final readonly class MirrorEntry implements FormEdit
{
    /** @param  string  $as  the id of the other side */
    public function __construct(public string $id, public string $as)
    {
    }

    public function apply(Form $form): Form
    {
        $at = Sequence::find($form, $this->id);

        return (new InsertEntries($this->id, [EntryMirror::of($form->at($at), $this->as)]))->apply($form);
    }

    public function touches(): array
    {
        return [$this->id];
    }

    public function isStructural(): bool
    {
        return true;
    }
}
