<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Change;

use Gorvan\Core\Form\File\FormFileWriter;
use Gorvan\Core\Form\Form;
use stdClass;

/**
 * What is different between two states of a form: entries by their ids, fields by their names in the form file.
 */
final readonly class FormDifference
{
    /** Fields that change how the form is cut, timed or laid over a term. */
    private const WEIGHTY = ['kind', 'side', 'repetition', 'breaths', 'steps', 'turn', 'weight_end', 'one_leg', 'returns', 'mirrors',
        'demand', 'rest', 'cut', 'breath_seconds', 'sections'];

    /**
     * @param  list<string>  $added  ids, in the order of the later form
     * @param  list<string>  $gone  ids, in the order of the earlier form
     * @param  list<string>  $moved  ids of the fewest entries that changed their order among those that stayed
     * @param  array<string, list<FieldChange>>  $changed  by id, in the order of the later form
     * @param  list<FieldChange>  $form  what changed of the form as a whole
     */
    private function __construct(
        public array $added,
        public array $gone,
        public array $moved,
        public array $changed,
        public array $form,
    ) {
    }

    public static function between(Form $before, Form $after): self
    {
        $writer = new FormFileWriter;
        $added = $changed = $order = [];
        foreach ($after->entries as $entry) {
            $was = $before->positionOf($entry->id);
            if ($was === null) {
                $added[] = $entry->id;

                continue;
            }
            $order[$entry->id] = $was;
            $fields = self::fields($writer->entry($before->at($was)), $writer->entry($entry));
            if ($fields !== []) {
                $changed[$entry->id] = $fields;
            }
        }
        $gone = [];
        foreach ($before->entries as $entry) {
            if ($after->positionOf($entry->id) === null) {
                $gone[] = $entry->id;
            }
        }

        return new self($added, $gone, self::moved($order), $changed, self::fields($writer->root($before), $writer->root($after)));
    }

    public function isNone(): bool
    {
        return ! $this->isStructural() && $this->changed === [] && $this->form === [];
    }

    /** Whether entries came, went or moved. */
    public function isStructural(): bool
    {
        return $this->added !== [] || $this->gone !== [] || $this->moved !== [];
    }

    /** Whether lessons and terms must be laid anew. */
    public function changesPlan(): bool
    {
        $fields = [...array_merge([], ...array_values($this->changed)), ...$this->form];

        return $this->isStructural()
            || array_filter($fields, static fn (FieldChange $change): bool => in_array($change->field, self::WEIGHTY, true)) !== [];
    }

    /**
     * Ids of all entries that are no longer what, or where, they were.
     *
     * @return list<string>
     */
    public function touched(): array
    {
        return array_values(array_unique([...$this->added, ...$this->gone, ...$this->moved, ...array_map(strval(...), array_keys($this->changed))]));
    }

    /**
     * How many entries differ in each field, most first.
     *
     * @return array<string, int>
     */
    public function counts(): array
    {
        $counts = [];
        foreach ($this->changed as $changes) {
            foreach ($changes as $change) {
                $counts[$change->field] = ($counts[$change->field] ?? 0) + 1;
            }
        }
        arsort($counts);

        return $counts;
    }

    /** @return list<FieldChange> */
    private static function fields(stdClass $before, stdClass $after): array
    {
        $changes = [];
        [$was, $is] = [get_object_vars($before), get_object_vars($after)];
        foreach (array_keys($was + $is) as $field) {
            $change = new FieldChange((string) $field, $was[$field] ?? null, $is[$field] ?? null);
            if (! $change->isNone()) {
                $changes[] = $change;
            }
        }

        return $changes;
    }

    /**
     * All but a longest stretch that kept its order (longest increasing subsequence).
     *
     * @param  array<string, int>  $order  earlier positions by id, in the later order
     * @return list<string>
     */
    private static function moved(array $order): array
    {
        $ids = array_map(strval(...), array_keys($order));
        $was = array_values($order);
        $ends = []; // ends[n]: index of the smallest last element of a run of length n + 1
        $back = [];
        foreach ($was as $at => $position) {
            $low = 0;
            $high = count($ends);
            while ($low < $high) {
                $middle = intdiv($low + $high, 2);
                [$low, $high] = $was[$ends[$middle]] < $position ? [$middle + 1, $high] : [$low, $middle];
            }
            $back[$at] = $low === 0 ? null : $ends[$low - 1];
            $ends[$low] = $at;
        }
        $kept = [];
        for ($at = $ends === [] ? null : $ends[count($ends) - 1]; $at !== null; $at = $back[$at]) {
            $kept[$at] = true;
        }

        return array_values(array_filter($ids, static fn (int $at): bool => ! isset($kept[$at]), ARRAY_FILTER_USE_KEY));
    }
}
