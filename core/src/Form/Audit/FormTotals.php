<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Audit;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryLoad;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\LoadModel;
use Gorvan\Core\Form\Time\RunTime;
use Gorvan\Core\Form\Track\FloorTrack;

/** What a form adds up to. An extra belongs to the session: it adds no movement, load, time or practice. */
final readonly class FormTotals
{
    /**
     * @param  float  $seconds  at class pace
     * @param  float  $turn  degrees, clockwise positive
     * @param  array{float, float}  $travel  where the closing ends: steps forward and to the right of the opening
     * @param  float  $left  how often something is done on the left
     */
    private function __construct(
        public int $entries,
        public int $movements,
        public float $load,
        public float $seconds,
        public float $turn,
        public array $travel,
        public float $left,
        public float $right,
    ) {
    }

    public static function of(Form $form): self
    {
        $end = FloorTrack::of($form)->closing();
        $counted = array_filter($form->entries, static fn (Entry $entry): bool => $entry->kind->countsInForm());
        $sides = array_map(static fn (Entry $entry): array => $entry->timesBySide(), $counted);

        return new self(
            $form->count(),
            count(array_filter($counted, static fn (Entry $entry): bool => $entry->isCounted())),
            array_sum(array_map(static fn (EntryLoad $load): float => $load->load, (new LoadModel)->of($form))),
            (new RunTime($form))->secondsBetween(1, $form->count()),
            $end->facing,
            [$end->y, $end->x],
            array_sum(array_column($sides, 0)),
            array_sum(array_column($sides, 1)),
        );
    }
}
