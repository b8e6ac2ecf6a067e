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
 * there and never seen), and it does not hold yet. *Open*: none of the others. *Missed* as in engine 10. To *keep*: of what holds,
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
                $whole->isMissed => 'missed',
                $whole->notReady() === null => 'nearly',
                default => 'open',
            }][] = $position;
        }
        $kept = array_values(array_filter(array_map(static fn (Fading $one): int => $one->position, $fading), static fn (int $position): bool => in_array($position, $in['holds'], true)));

        return new self(
            count($in['holds']), count($movements),
            $form->runsOfMovements($in['holds']), $form->runsOfMovements($in['nearly']), $form->runsOfMovements($in['open']), $form->runsOfMovements($in['missed']),
            array_slice($kept, 0, self::KEPT),
        );
    }
}
