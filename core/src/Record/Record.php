<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

/**
 * The facts of one student that stand, whatever order they came in: repeated ids folded, withdrawn ones left out.
 *
 * A withdrawal counts whenever it was made, so that a day gone by is seen with what is known now.
 */
final class Record
{
    /** @var array<string, Fact> */
    private array $facts = [];

    /** @var array<string, bool|null> whether a fact stands; null while it is being found out */
    private array $stands = [];

    /** @var array<string, list<string>> ids of withdrawals by the id they withdraw */
    private array $withdrawals = [];

    /**
     * @param  iterable<Fact>  $facts
     *
     * @throws RecordFault when an id stands twice with other content, or an unknown id is withdrawn
     */
    public function __construct(iterable $facts)
    {
        foreach ($facts as $fact) {
            $known = $this->facts[$fact->id] ?? null;
            if ($known !== null && ! $known->saysTheSameAs($fact)) {
                throw IdReused::by($fact->id);
            }
            $this->facts[$fact->id] ??= $fact;
        }
        foreach ($this->facts as $id => $fact) {
            if ($fact->withdraws === null) {
                continue;
            }
            if (! isset($this->facts[$fact->withdraws])) {
                throw UnknownTarget::of((string) $id, $fact->withdraws);
            }
            $this->withdrawals[$fact->withdraws][] = (string) $id;
        }
    }

    /**
     * The facts that stand, by the subject they are about, in the order in which subjects first appear.
     *
     * @param  int  $until  facts of later days are left out
     * @return array<string, non-empty-list<Fact>> by the subject's key
     *
     * @throws RecordFault when withdrawals go round in a circle
     */
    public function until(int $until): array
    {
        $bySubject = [];
        foreach ($this->facts as $id => $fact) {
            $stands = $this->stands((string) $id);
            if ($fact->subject !== null) {
                $bySubject[$fact->subject->key()] ??= []; // keeps the order of first appearance, also where that fact is void
                if ($stands && $fact->day <= $until) {
                    $bySubject[$fact->subject->key()][] = $fact;
                }
            }
        }

        return array_filter($bySubject, static fn (array $facts): bool => $facts !== []);
    }

    private function stands(string $id): bool
    {
        if (array_key_exists($id, $this->stands)) {
            return $this->stands[$id] ?? throw WithdrawnInACircle::at($id);
        }
        $this->stands[$id] = null;
        $stands = true;
        foreach ($this->withdrawals[$id] ?? [] as $withdrawal) {
            $stands = ! $this->stands($withdrawal) && $stands;
        }

        return $this->stands[$id] = $stands;
    }
}
