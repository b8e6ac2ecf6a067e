<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle;

/**
 * What a meeting works on beside the sequence (engine 16): the open principle that needs it most, where tonight's entries
 * show it; a new one at most every second meeting, and only once what comes before it is there. Pure.
 */
final readonly class FocusChooser
{
    /** What comes before a new principle is there once the group recalls this much of it on average. */
    public const OPENS_AT = 0.5;

    public const MOST = 3;

    private const EQUAL = 1e-12;

    private const BITE_OF_UNJOINED = 0.75;

    private const LEAST_BITE = 0.5;

    public function __construct(private PrincipleSet $set, private Bites $bites)
    {
    }

    /**
     * @param  callable(string): float  $today  the group's mean recall of a principle today
     * @param  callable(string): float  $ahead  and on the day of the next meeting, without working on it tonight
     * @param  list<string>  $tonight  entries
     * @param  int  $most  principles a meeting, 1..3
     * @param  bool  $isQuiet  nothing is new: a showing's evening, or the one before it
     * @return list<ChosenFocus> the one that is worth most first
     */
    public function choose(FocusHistory $history, callable $today, callable $ahead, array $tonight, int $most = 1, bool $isQuiet = false): array
    {
        $candidates = [];
        $mayBeNew = ! $isQuiet && ! $history->lastWasNew;
        foreach ($this->set->principles as $principle) {
            $isNew = $history->isNew($principle->id);
            if (($isNew && ! $mayBeNew) || ! $this->isOpen($principle, $history, $today)) {
                continue;
            }
            $mayBeNew = $mayBeNew && ! $isNew;
            $candidates[] = $this->focus($principle->id, $history, $ahead, $tonight);
        }
        $chosen = [];
        while ($candidates !== [] && count($chosen) < $most) {
            $best = 0;
            foreach ($candidates as $at => $one) {
                if ($one->worth() > $candidates[$best]->worth() + self::EQUAL) {
                    $best = $at;
                }
            }
            $chosen[] = $candidates[$best];
            array_splice($candidates, $best, 1);
        }

        return $chosen;
    }

    /**
     * A whole family, where a group works by families: each is one candidate, with the mean need and bite of its open members. What a
     * member comes after in its own family comes along with it. A principle of no family is one by itself.
     *
     * @param  callable(string): float  $today
     * @param  callable(string): float  $ahead
     * @param  list<string>  $tonight
     * @return list<ChosenFocus> its members, in their order
     */
    public function chooseFamily(FocusHistory $history, callable $today, callable $ahead, array $tonight, bool $isQuiet = false): array
    {
        $best = [];
        $most = -1.0;
        $mayBeNew = ! $isQuiet && ! $history->lastWasNew;
        foreach ($this->families() as $family) {
            $members = $this->open($family, $history, $today, $isQuiet);
            $isNew = array_filter($members, static fn (string $id): bool => ! $history->isNew($id)) === [];
            if ($members === [] || ($isNew && ! $mayBeNew)) {
                continue;
            }
            $mayBeNew = $mayBeNew && ! $isNew;
            $chosen = array_map(fn (string $id): ChosenFocus => $this->focus($id, $history, $ahead, $tonight), $members);
            $mean = static fn (callable $of): float => array_sum(array_map($of, $chosen)) / count($chosen);
            $worth = $mean(static fn (ChosenFocus $one): float => 1.0 - $one->mean) * $mean(static fn (ChosenFocus $one): float => $one->bite);
            if ($worth > $most + self::EQUAL) {
                [$best, $most] = [$chosen, $worth];
            }
        }

        return $best;
    }

    /**
     * The members of some principles' family that a meeting can work on.
     *
     * @param  list<Principle>  $family
     * @param  callable(string): float  $today
     * @return list<string> ids
     */
    public function open(array $family, FocusHistory $history, callable $today, bool $isQuiet = false): array
    {
        $own = array_map(static fn (Principle $one): string => $one->id, $family);
        $open = array_filter($family, fn (Principle $one): bool => ! ($isQuiet && $history->isNew($one->id)) && $this->isOpen($one, $history, $today, $own));

        return array_values(array_map(static fn (Principle $one): string => $one->id, $open));
    }

    /**
     * The families of the set in the order of their first principle.
     *
     * @return array<string, list<Principle>> by their title; one of no family by its id
     */
    public function families(): array
    {
        $families = [];
        foreach ($this->set->principles as $principle) {
            $families[self::familyOf($principle)][] = $principle;
        }

        return $families;
    }

    /** What {@see families()} has the family of a principle under. */
    public static function familyOf(Principle $principle): string
    {
        return $principle->family ?? "\n$principle->id";
    }

    /**
     * A principle as a focus, whoever chose it.
     *
     * @param  callable(string): float  $ahead
     * @param  list<string>  $tonight
     */
    public function focus(string $principle, FocusHistory $history, callable $ahead, array $tonight): ChosenFocus
    {
        $own = $this->bites->of($principle);

        return new ChosenFocus($principle, $history->isNew($principle), $ahead($principle), self::bite($own, $tonight), self::shows($own, $tonight));
    }

    /**
     * @param  callable(string): float  $today
     * @param  list<string>  $along  what is worked on along with it
     */
    private function isOpen(Principle $principle, FocusHistory $history, callable $today, array $along = []): bool
    {
        foreach (array_diff($principle->after, $along) as $id) {
            if ($history->isNew($id) || $today($id) < self::OPENS_AT) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<Bite>  $own
     * @param  list<string>  $tonight
     */
    private static function bite(array $own, array $tonight): float
    {
        if ($own === []) {
            return self::BITE_OF_UNJOINED;
        }
        if ($tonight === []) {
            return self::LEAST_BITE;
        }
        $is = array_fill_keys($tonight, true);
        $sum = array_sum(array_map(static fn (Bite $bite): int => isset($is[$bite->entry]) ? $bite->strength : 0, $own));

        return self::LEAST_BITE + (1.0 - self::LEAST_BITE) * $sum / (Bite::STRONGEST * count($tonight));
    }

    /**
     * @param  list<Bite>  $own
     * @param  list<string>  $tonight
     * @return list<string> in tonight's order
     */
    private static function shows(array $own, array $tonight): array
    {
        $strengths = [];
        foreach ($own as $bite) {
            $strengths[$bite->entry] = $bite->strength;
        }
        $here = array_intersect_key($strengths, array_flip($tonight));

        return $here === [] ? [] : array_values(array_filter($tonight, static fn (string $entry): bool => ($here[$entry] ?? 0) === max($here)));
    }
}
