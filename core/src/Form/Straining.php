<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

use Gorvan\Core\Care\Joint;
use Gorvan\Core\Care\Strain;

/**
 * What of an entry strains a body: what its `strains` say, `one_leg`, a low variant without a caution of its own, and a turn of
 * 180 degrees or more within one breath (*default*). Titles are names and are not searched.
 */
final readonly class Straining
{
    public function __construct(public float $fastTurn = 180.0, public float $fastBreaths = 1.0)
    {
    }

    /** @return list<Strain> */
    public function of(Entry $entry): array
    {
        $low = false;
        foreach ($entry->variants as $variant) {
            $low = $low || ($variant->depth === Depth::Low && $variant->cautions === []);
        }
        $strains = $entry->strains;
        foreach ([
            [Strain::OneLeg, $entry->oneLeg === true],
            [Strain::DeepBend, $low],
            [Strain::FastTurn, abs($entry->turn ?? 0.0) >= $this->fastTurn && $entry->breaths !== null && $entry->breaths <= $this->fastBreaths],
        ] as [$strain, $applies]) {
            if ($applies && ! in_array($strain, $strains, true)) {
                $strains[] = $strain;
            }
        }

        return $strains;
    }

    /**
     * The joints an entry loads: those of its strains, and those it names.
     *
     * @return list<Joint>
     */
    public function joints(Entry $entry): array
    {
        return array_values(array_unique([...array_merge([], ...array_map(static fn (Strain $strain): array => $strain->joints(), $this->of($entry))), ...$entry->joints], SORT_REGULAR));
    }
}
