<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;

/**
 * What a term came to for one student in one form, for a letter: every taught movement is in exactly one of four.
 *
 * *Holds* as in engine 10. *Nearly*: one could go on from it (10: last seen Cued or better and recalled, or expected to be
 * there and never seen), and it does not hold yet. *Open*: met, and neither. *Missed*: never met. To *keep*: of what holds,
 * what would slip first. Passages run over movements; connectors between two of them do not part them. Pure.
 */
final readonly class TermResult
{
    /** So many are named to be kept. */
    private const KEPT = 3;

    /**
     * @param  int  $holding  movements that hold, of those taught
     * @param  int  $taught  movements
     * @param  list<Passage>  $holds
     * @param  list<Passage>  $nearly
     * @param  list<Passage>  $open
     * @param  list<Passage>  $missed
     * @param  list<int>  $keep  positions, what would slip first comes first
     */
    private function __construct(public int $holding, public int $taught, public array $holds, public array $nearly, public array $open, public array $missed, public array $keep)
    {
    }

    /**
     * @param  list<int>  $taught  positions taught to the group
     * @param  list<Fading>  $fading  {@see Fading::of()}
     */
    public static function of(Form $form, StudentStanding $standing, array $taught, array $fading): self
    {
        $movements = array_values(array_filter($taught, static fn (int $position): bool => $form->at($position)->kind === EntryKind::Movement));
        $in = ['holds' => [], 'nearly' => [], 'open' => [], 'missed' => []];
        foreach ($movements as $position) {
            $whole = $standing->at($position)->whole;
            $in[match (true) {
                $whole->holds() => 'holds',
                ! $whole->isMet() => 'missed',
                $whole->notReady() === null => 'nearly',
                default => 'open',
            }][] = $position;
        }
        $kept = array_values(array_filter(array_map(static fn (Fading $one): int => $one->position, $fading), static fn (int $position): bool => in_array($position, $in['holds'], true)));

        return new self(
            count($in['holds']), count($movements),
            self::runs($form, $in['holds']), self::runs($form, $in['nearly']), self::runs($form, $in['open']), self::runs($form, $in['missed']),
            array_slice($kept, 0, self::KEPT),
        );
    }

    /**
     * Passages over neighbouring movements.
     *
     * @param  list<int>  $positions  of movements, in order
     * @return list<Passage>
     */
    public static function runs(Form $form, array $positions): array
    {
        $runs = [];
        foreach ($positions as $position) {
            $last = array_pop($runs);
            if ($last !== null && ! self::isMovementBetween($form, $last->to, $position)) {
                $runs[] = new Passage($last->from, $position);
            } else {
                array_push($runs, ...($last === null ? [] : [$last]), ...[new Passage($position, $position)]);
            }
        }

        return $runs;
    }

    private static function isMovementBetween(Form $form, int $from, int $to): bool
    {
        for ($position = $from + 1; $position < $to; $position++) {
            if ($form->at($position)->kind === EntryKind::Movement) {
                return true;
            }
        }

        return false;
    }
}
