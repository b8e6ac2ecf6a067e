<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Form\Track\Footing;
use Gorvan\Core\Reading\Gone;

/**
 * An entry takes in the one after it: turns, travels, steps and breaths are added up, what holds at the end is the
 * second's, and whatever returned to the second returns to the whole.
 */
final readonly class MergeEntry implements FormEdit
{
    public function __construct(public string $id)
    {
    }

    public function apply(Form $form): Form
    {
        $at = Sequence::find($form, $this->id) - 1;
        $second = $form->entries[$at + 1] ?? throw Gone::nextEntry($this->id);
        $whole = self::merged($form->entries[$at], $second);
        $again = static fn (?string $id): ?string => $id === $second->id ? $whole->id : $id;
        $entries = array_map(
            static fn (Entry $entry): Entry => $entry->returns === $second->id || $entry->mirrors === $second->id
                ? $entry->with(['returns' => $again($entry->returns), 'mirrors' => $again($entry->mirrors)])
                : $entry,
            [...array_slice($form->entries, 0, $at), $whole, ...array_slice($form->entries, $at + 2)],
        );

        return Sequence::of($form, $entries);
    }

    public function touches(): array
    {
        return [$this->id];
    }

    public function isStructural(): bool
    {
        return true;
    }

    private static function merged(Entry $first, Entry $second): Entry
    {
        $sum = static fn (int|float|null $a, int|float|null $b): int|float|null => $a === null && $b === null ? null : ($a ?? 0) + ($b ?? 0);
        $travel = null;
        if ($first->travel !== null || $second->travel !== null) {
            $end = (new Footing(0.0, 0.0, 0.0))
                ->after($first->travel[0] ?? 0.0, $first->travel[1] ?? 0.0, $first->turn ?? 0.0)
                ->after($second->travel[0] ?? 0.0, $second->travel[1] ?? 0.0, 0.0);
            $travel = [round($end->y, 9) + 0.0, round($end->x, 9) + 0.0];
        }

        return $first->with([
            'title' => $first->title === $second->title ? $first->title : mb_strimwidth("$first->title, $second->title", 0, 300),
            'side' => self::side($first->side, $second->side),
            'repetition' => $first->repetition?->stated === $second->repetition?->stated ? $first->repetition : null,
            'breaths' => $sum($first->breaths, $second->breaths),
            'steps' => $sum($first->steps, $second->steps),
            'turn' => $sum($first->turn, $second->turn),
            'travel' => $travel,
            'weightEnd' => $second->weightEnd,
            'stance' => $second->stance,
            'oneLeg' => $second->oneLeg,
            'rest' => $second->rest,
            'cut' => $second->cut,
            'phases' => [...$first->phases, ...$second->phases],
            'states' => [...$first->states, ...$second->states],
            'variants' => [...$first->variants, ...$second->variants],
            'strains' => array_values(array_unique([...$first->strains, ...$second->strains], SORT_REGULAR)),
            'joints' => array_values(array_unique([...$first->joints, ...$second->joints], SORT_REGULAR)),
            'cautions' => [...$first->cautions, ...$second->cautions],
            'checks' => [...$first->checks, ...$second->checks],
            'errors' => [...$first->errors, ...$second->errors],
            'drills' => [...$first->drills, ...$second->drills],
            'cues' => [...$first->cues, ...$second->cues],
        ]);
    }

    private static function side(?Side $first, ?Side $second): ?Side
    {
        if ($first === $second) {
            return $first;
        }

        return in_array($first, [Side::Left, Side::Right], true) && $second === $first->mirrored() ? Side::Both : null;
    }
}
