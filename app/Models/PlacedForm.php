<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form as CoreForm;

/** A form as core knows it, and which row each of its entries is. */
final readonly class PlacedForm
{
    /** @var array<string, int> position by row id */
    private array $positions;

    /**
     * @param  string  $id  of the form's row
     * @param  list<string>  $ids row ids in the order of the form
     */
    public function __construct(public string $id, public CoreForm $form, public array $ids)
    {
        $this->positions = array_map(static fn (int $at): int => $at + 1, array_flip($ids));
    }

    public function idAt(int $position): string
    {
        return $this->ids[$position - 1];
    }

    public function positionOf(string $id): ?int
    {
        return $this->positions[$id] ?? null;
    }

    /** The entry's id in the form file, by its row. */
    public function keyOf(string $id): ?string
    {
        $position = $this->positionOf($id);

        return $position === null ? null : $this->form->at($position)->id;
    }

    /** @return array<string, string> the entries' ids in the form file, by row */
    public function keys(): array
    {
        return array_combine($this->ids, array_map(static fn (Entry $entry): string => $entry->id, $this->form->entries));
    }

    /** Whether the entry of a row is done on both sides. */
    public function hasSides(string $id): bool
    {
        $position = $this->positionOf($id);

        return $position !== null && $this->form->at($position)->isDoneOnBothSides();
    }
}
