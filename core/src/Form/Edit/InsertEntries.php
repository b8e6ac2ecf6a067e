<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;

/** New entries after one that is there, or before all. */
final readonly class InsertEntries implements FormEdit
{
    /**
     * @param  string|null  $after  null puts them first
     * @param  list<Entry>  $entries
     */
    public function __construct(public ?string $after, public array $entries)
    {
    }

    public function apply(Form $form): Form
    {
        $at = $this->after === null ? 0 : Sequence::find($form, $this->after);

        return Sequence::of($form, [...array_slice($form->entries, 0, $at), ...$this->entries, ...array_slice($form->entries, $at)]);
    }

    public function touches(): array
    {
        return $this->after === null ? [] : [$this->after];
    }

    public function isStructural(): bool
    {
        return true;
    }
}
