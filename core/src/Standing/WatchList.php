<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

/**
 * Whom to look at tonight (engine 11): a teacher can really see a few students a meeting, so those come first of whom the
 * least is known where it matters soonest. Whoever nobody has seen for three meetings comes before them, and whoever is back and lacks something of
 * tonight's before all others.
 */
final readonly class WatchList
{
    /** So many are shown, *default*. */
    public const SHOWN = 5;

    /** Attended so often without a mark is overdue, *default*; nobody unseen for three meetings is common practice. */
    public const OVERDUE = 3;

    /**
     * @param  list<Watched>  $watch  the first so many
     * @param  list<string>  $overdue  students who are overdue beyond them, in the same order
     */
    private function __construct(public array $watch, public array $overdue)
    {
    }

    /**
     * @param  list<Watchable>  $students
     * @param  list<WatchPassage>  $passages
     * @param  int  $limit  0 or more
     */
    public static function of(array $students, array $passages, int $limit = self::SHOWN): self
    {
        $all = array_map(static fn (Watchable $student): Watched => self::look($student, $passages), $students);
        usort($all, static fn (Watched $a, Watched $b): int => $a->order() <=> $b->order() ?: strcmp($a->student, $b->student));
        $rest = array_filter(array_slice($all, $limit), static fn (Watched $one): bool => $one->isOverdue());

        return new self(array_slice($all, 0, $limit), array_values(array_map(static fn (Watched $one): string => $one->student, $rest)));
    }

    /** Uncertainty of a chance, in bits: 1 at a half, 0 where it is certain (binary entropy, Shannon 1948). Pure. */
    public static function entropy(float $chance): float
    {
        return $chance <= 0.0 || $chance >= 1.0 ? 0.0 : -$chance * log($chance, 2) - (1 - $chance) * log(1 - $chance, 2);
    }

    /** @param  list<WatchPassage>  $passages */
    private static function look(Watchable $student, array $passages): Watched
    {
        $since = $student->attendedSinceMark;
        $stale = $since === null ? 1.0 : min(1.0, $since / self::OVERDUE);
        $why = match (true) {
            $since === null => WatchReason::NeverMarked,
            $since >= self::OVERDUE => WatchReason::LongUnseen,
            default => WatchReason::Unsure,
        };
        $back = self::missing($student, $passages);
        if ($back !== null) {
            [$why, $passages] = [WatchReason::Back, [$back]];
        }
        $best = null;
        foreach ($passages as $passage) {
            $unsure = array_sum(array_map(static fn (string $entry): float => self::entropy($student->recalls[$entry] ?? 0.0), $passage->entries)) / count($passage->entries);
            $rank = $unsure * $passage->soon * (0.5 + 0.5 * $stale);
            if ($best === null || $rank > $best->rank) {
                $best = new Watched($student->id, $passage->entries, $unsure, $rank, $why);
            }
        }

        return $best ?? new Watched($student->id, [], 0.0, 0.0, $why);
    }

    /**
     * What somebody who is back lacks of tonight: of the first passage they missed something of, else of the first that is weak.
     *
     * @param  list<WatchPassage>  $passages
     */
    private static function missing(Watchable $student, array $passages): ?WatchPassage
    {
        $tonight = $student->away > 0 ? array_filter($passages, static fn (WatchPassage $passage): bool => $passage->isTonight()) : [];
        foreach ([$student->missed, $student->weak] as $lacking) {
            foreach ($tonight as $passage) {
                $part = $passage->only($lacking);
                if ($part !== null) {
                    return $part;
                }
            }
        }

        return null;
    }
}
