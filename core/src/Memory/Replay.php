<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

use Generator;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Record\DecidingFacts;
use Gorvan\Core\Record\Fact;
use Gorvan\Core\Record\FactKind;
use Gorvan\Core\Record\Record;

/**
 * Turns facts into tracks (engine 6): one update a subject, side and day, by the fact that decides the day. A replay can
 * go on from where an earlier one ended, and gives the same to the last bit as one from the start.
 */
final readonly class Replay
{
    public function __construct(private MemoryModel $model = new MemoryModel)
    {
    }

    /**
     * Everything a record says until a day.
     *
     * @param  callable(string): bool  $hasSides  whether the subject with this key has a left and a right track
     * @return array<string, Tracks> by subject key, in the order of first appearance
     *
     * @throws \Gorvan\Core\Record\RecordFault
     */
    public function until(Record $record, int $day, callable $hasSides): array
    {
        $tracks = [];
        foreach ($record->until($day) as $subject => $facts) {
            $tracks[$subject] = $this->on(Tracks::none(), $facts, $hasSides((string) $subject));
        }

        return $tracks;
    }

    /**
     * Goes on from earlier tracks with facts of later days.
     *
     * @param  list<Fact>  $facts  that stand, about this subject, none of a day that is in the tracks already
     */
    public function on(Tracks $from, array $facts, bool $hasSides): Tracks
    {
        if (! $hasSides || (! $from->areApart() && ! DecidingFacts::nameASide($facts))) {
            $track = $this->track($from->whole, $facts, null);

            return $track === null ? Tracks::none() : Tracks::whole($track);
        }

        return Tracks::sides(
            $this->track($from->side(Side::Left), $facts, Side::Left),
            $this->track($from->side(Side::Right), $facts, Side::Right),
        );
    }

    /** @param  list<Fact>  $facts */
    private function track(?Track $from, array $facts, ?Side $side): ?Track
    {
        $own = array_values(array_filter($facts, static fn (Fact $fact): bool => $side === null || $fact->side === null || $fact->side === $side));
        if ($own === []) {
            return $from;
        }
        $from ??= new Track;
        $inClass = array_values(array_filter($own, static fn (Fact $fact): bool => $fact->kind !== FactKind::Home));
        $wasTaught = $from->wasTaught || array_filter($own, static fn (Fact $fact): bool => $fact->kind->teaches()) !== [];
        $isApart = $from->withoutHome !== null || count($inClass) < count($own);

        return $this->folded($from, DecidingFacts::of($own), $isApart ? $this->folded($from->withoutHome ?? $from, DecidingFacts::of($inClass), null, $wasTaught) : null, $wasTaught);
    }

    /**
     * Every contact of one track and what it left, in order.
     *
     * @param  list<Fact>  $facts  that stand, about one subject
     * @param  Side|null  $side  null for all of them
     * @return list<ReplayStep>
     */
    public function steps(array $facts, ?Side $side = null): array
    {
        $own = array_values(array_filter($facts, static fn (Fact $fact): bool => $side === null || $fact->side === null || $fact->side === $side));

        return iterator_to_array($this->walked(new Track, DecidingFacts::of($own)), false);
    }

    /** @param  array<int, Fact>  $days  the deciding fact of each day, in order */
    private function folded(Track $from, array $days, ?Track $withoutHome, bool $wasTaught): Track
    {
        $level = $from->level;
        foreach ($days as $fact) {
            $level = $fact->level ?? $level;
        }
        [$state, $last, $updates] = [$from->state, $from->last, $from->updates];
        foreach ($this->walked($from, $days) as $step) {
            [$state, $last] = [$step->state, $step->day];
            $updates++;
        }

        return new Track($level, $state, $last, $updates, $withoutHome, $wasTaught);
    }

    /**
     * @param  array<int, Fact>  $days  the deciding fact of each day, in order
     * @return Generator<ReplayStep>
     */
    private function walked(Track $from, array $days): Generator
    {
        [$state, $last] = [$from->state, $from->last];
        foreach ($days as $day => $fact) {
            $evidence = $fact->subject?->kind->isRemembered() === true ? Evidence::of($fact) : null;
            if ($evidence === null) {
                continue;
            }
            $before = $state === null || $last === null ? null : $this->model->read($day - $last, $state->stability);
            $state = $state === null || $last === null ? $this->model->first($evidence) : $this->model->later($state, $day - $last, $evidence);
            $last = $day;
            yield new ReplayStep($day, $fact, $before, $state);
        }
    }
}
