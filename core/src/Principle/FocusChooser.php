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

    /** @param  callable(string): float  $today */
    private function isOpen(Principle $principle, FocusHistory $history, callable $today): bool
    {
        foreach ($principle->after as $id) {
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
