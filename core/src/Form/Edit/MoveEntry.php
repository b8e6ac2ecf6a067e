<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Form;

/** An entry stands elsewhere in the order. */
final readonly class MoveEntry implements FormEdit
{
    /** @param  string|null  $after  null puts it first */
    public function __construct(public string $id, public ?string $after)
    {
    }

    public function apply(Form $form): Form
    {
        if ($this->after === $this->id) {
            return $form;
        }
        $entries = $form->entries;
        [$entry] = array_splice($entries, Sequence::find($form, $this->id) - 1, 1);
        $at = 0;
        if ($this->after !== null) {
            Sequence::find($form, $this->after);
            foreach ($entries as $place => $one) {
                $at = $one->id === $this->after ? $place + 1 : $at;
            }
        }
        array_splice($entries, $at, 0, [$entry]);

        return Sequence::of($form, $entries, [$this->id]);
    }

    public function touches(): array
    {
        return $this->after === null ? [$this->id] : [$this->id, $this->after];
    }

    public function isStructural(): bool
    {
        return true;
    }
}
