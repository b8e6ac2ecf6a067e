<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory\Internal;

use DateTimeZone;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Memory\Fact;
use Gorvan\Core\Memory\FactKind;
use Gorvan\Core\Memory\RecordFault;

/**
 * A record with repeated ids folded, withdrawals resolved, and one deciding fact left for each entry and day.
 *
 * @internal
 */
final class Ledger
{
    /** @var array<string, Fact> */
    private array $facts = [];

    /** @var array<string, string> the day of each fact in the zone */
    private array $days = [];

    /** @var array<string, bool|null> whether a fact stands; null while it is being found out */
    private array $stands = [];

    /** @var array<string, list<string>> ids of withdrawals by the id they withdraw */
    private array $withdrawals = [];

    /**
     * @param  iterable<Fact>  $facts
     *
     * @throws RecordFault when an id stands twice with other content, or an unknown id is withdrawn
     */
    public function __construct(iterable $facts, DateTimeZone $zone)
    {
        foreach ($facts as $fact) {
            $known = $this->facts[$fact->id] ?? null;
            if ($known !== null && ! $known->saysTheSameAs($fact)) {
                throw RecordFault::idReused($fact->id);
            }
            if ($known === null) {
                $this->facts[$fact->id] = $fact;
                $this->days[$fact->id] = $fact->at->setTimezone($zone)->format('Y-m-d');
            }
        }
        foreach ($this->facts as $fact) {
            if ($fact->kind === FactKind::Withdraw && ! isset($this->facts[$fact->subject])) {
                throw RecordFault::unknownTarget($fact->id, $fact->subject);
            }
        }
    }

    /**
     * The deciding fact of each entry, track and day. An entry has one track ('') unless a mark names a side; then it
     * has a left and a right one, and what names no side counts for both.
     *
     * @return array<string, array<string, non-empty-array<string, Fact>>>
     *
     * @throws RecordFault when withdrawals go round in a circle
     */
    public function until(string $on): array
    {
        $this->stands = $this->withdrawals = [];
        foreach ($this->facts as $id => $fact) {
            if ($fact->kind === FactKind::Withdraw && $this->days[$id] <= $on) {
                $this->withdrawals[$fact->subject][] = (string) $id;
            }
        }
        $valid = [];
        foreach ($this->facts as $id => $fact) {
            $stands = $this->stands((string) $id);
            if ($fact->kind !== FactKind::Withdraw) {
                $valid[$fact->subject] ??= []; // keeps the order of first appearance, also where that fact is void
                if ($stands && $this->days[$id] <= $on) {
                    $valid[$fact->subject][] = $fact;
                }
            }
        }

        return array_map($this->tracks(...), array_filter($valid, static fn (array $facts): bool => $facts !== []));
    }

    /**
     * @param  non-empty-list<Fact>  $facts
     * @return array<string, non-empty-array<string, Fact>>
     */
    private function tracks(array $facts): array
    {
        $sided = array_filter($facts, static fn (Fact $fact): bool => $fact->side !== null);
        $tracks = [];
        foreach ($sided === [] ? [null] : [Side::Left, Side::Right] as $side) {
            $own = array_filter($facts, static fn (Fact $fact): bool => $fact->side === null || $fact->side === $side);
            if ($own !== []) {
                $tracks[$side === null ? '' : $side->value] = $this->deciding($own);
            }
        }

        return $tracks;
    }

    /**
     * @param  non-empty-array<Fact>  $facts
     * @return non-empty-array<string, Fact>
     */
    private function deciding(array $facts): array
    {
        $days = [];
        foreach ($facts as $fact) {
            $day = $this->days[$fact->id];
            if (! isset($days[$day]) || self::beats($fact, $days[$day])) {
                $days[$day] = $fact;
            }
        }

        return $days;
    }

    private function stands(string $id): bool
    {
        if (array_key_exists($id, $this->stands)) {
            return $this->stands[$id] ?? throw RecordFault::withdrawnInACircle($id);
        }
        $this->stands[$id] = null;
        $stands = true;
        foreach ($this->withdrawals[$id] ?? [] as $withdrawal) {
            $stands = ! $this->stands($withdrawal) && $stands;
        }

        return $this->stands[$id] = $stands;
    }

    private static function beats(Fact $fact, Fact $rival): bool
    {
        $rank = static fn (Fact $of): int => match ($of->kind) {
            FactKind::Mark => 2,
            FactKind::Taught => 1,
            default => 0,
        };

        return ([$rank($fact), $fact->at] <=> [$rank($rival), $rival->at] ?: strcmp($fact->id, $rival->id)) > 0;
    }
}
