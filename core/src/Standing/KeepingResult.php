<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/** What a term came to in principles, for a letter: those that hold, and the one to carry on with. Pure. */
final readonly class KeepingResult
{
    /**
     * @param  list<string>  $holds  ids, in the order of the set
     * @param  string|null  $carry  id
     */
    private function __construct(public array $holds, public ?string $carry)
    {
    }

    /**
     * Of one student: what to carry on with is, of what was worked on and does not hold, the weakest.
     *
     * @param  array<string, KeepingStanding>  $own  by principle, in the order of the set
     */
    public static function of(array $own): self
    {
        $holds = array_filter($own, static fn (KeepingStanding $one): bool => $one->holds());
        $open = array_filter($own, static fn (KeepingStanding $one): bool => $one->isMet() && ! $one->holds());
        uasort($open, static fn (KeepingStanding $a, KeepingStanding $b): int => [$a->recall, $a->keeping?->value] <=> [$b->recall, $b->keeping?->value]);
        $carry = array_key_first($open);

        return new self(array_map(strval(...), array_keys($holds)), $carry === null ? null : (string) $carry);
    }

    /**
     * Of a group: what holds for at least half of them, and what most of them carry on with, of several the first.
     *
     * @param  list<self>  $all  one for each student
     */
    public static function together(array $all): self
    {
        $holds = array_filter(array_count_values(array_merge([], ...array_column($all, 'holds'))), static fn (int $count): bool => 2 * $count >= count($all));
        $carries = array_count_values(array_values(array_filter(array_column($all, 'carry'), is_string(...))));
        arsort($carries);
        $carry = array_key_first($carries);

        return new self(array_map(strval(...), array_keys($holds)), $carry === null ? null : (string) $carry);
    }
}
