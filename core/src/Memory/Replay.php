<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

use DateTimeImmutable;
use DateTimeZone;
use Gorvan\Core\Memory\Internal\Ledger;

/**
 * Turns a record of facts, in any order, into standings on a day (engine 6).
 *
 * One update an entry and calendar day: a mark beats unmarked contact, the last mark of a day beats earlier ones
 * (equal instants: the greater id), taught beats practice. Unmet changes support only. Facts after the day are ignored.
 */
final readonly class Replay
{
    public function __construct(private DateTimeZone $zone, private MemoryModel $model = new MemoryModel)
    {
    }

    /**
     * @param  iterable<Fact>  $facts
     * @param  string  $on  the day, `Y-m-d`
     * @return array<string, Standing> by entry (its weaker side where sides are apart), in the order of first appearance
     *
     * @throws RecordFault
     */
    public function on(iterable $facts, string $on): array
    {
        $standings = [];
        foreach ($this->tracksOn($facts, $on) as $entry => $tracks) {
            foreach ($tracks as $track) {
                $weakest = $standings[$entry] ?? $track;
                $standings[$entry] = ($track->recall ?? 0.0) < ($weakest->recall ?? 0.0) ? $track : $weakest;
            }
        }

        return $standings;
    }

    /**
     * The same, with left and right apart where a mark named a side (keys `left`, `right`; else one key, empty).
     *
     * @param  iterable<Fact>  $facts
     * @return array<string, array<string, Standing>>
     *
     * @throws RecordFault
     */
    public function tracksOn(iterable $facts, string $on): array
    {
        return array_map(
            fn (array $tracks): array => array_map(fn (array $days): Standing => $this->standing($days, $on), $tracks),
            (new Ledger($facts, $this->zone))->until($on),
        );
    }

    /** @param  non-empty-array<string, Fact>  $days the deciding fact of each day */
    private function standing(array $days, string $on): Standing
    {
        ksort($days);
        $support = $state = $last = null;
        $updates = 0;
        foreach ($days as $day => $fact) {
            $support = $fact->support ?? $support;
            $evidence = match ($fact->kind) {
                FactKind::Mark => $fact->support?->evidence(),
                FactKind::Taught => Evidence::taught(),
                default => Evidence::practised(),
            };
            if ($evidence === null) {
                continue;
            }
            $state = $state === null || $last === null
                ? $this->model->first($evidence)
                : $this->model->later($state, self::days($last, $day), $evidence);
            $last = $day;
            $updates++;
        }
        $recall = $state === null || $last === null ? null : $this->model->recall(self::days($last, $on), $state->stability);

        return new Standing($support, $state, $recall, $last, $updates);
    }

    private static function days(string $from, string $to): int
    {
        $utc = new DateTimeZone('UTC');

        return (int) (new DateTimeImmutable($from, $utc))->diff(new DateTimeImmutable($to, $utc))->days;
    }
}
