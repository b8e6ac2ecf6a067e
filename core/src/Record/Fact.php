<?php

declare(strict_types=1);

namespace Gorvan\Core\Record;

use DateTimeImmutable;
use Gorvan\Core\Form\Side;

/**
 * One line of a student's record, never edited: a mark, unmarked contact, or the withdrawal of an earlier fact.
 *
 * `day` is the day it counts for ({@see \Gorvan\Core\Reading\Day}); `at` only orders the facts of one day. `side` is
 * left or right where the fact is about one side alone.
 */
final readonly class Fact
{
    private function __construct(
        public string $id,
        public FactKind $kind,
        public ?Subject $subject,
        public int $day,
        public DateTimeImmutable $at,
        public ?Level $level = null,
        public ?Side $side = null,
        public ?string $withdraws = null,
        public ?WithdrawnKind $withdrawsKind = null,
    ) {
    }

    public static function mark(string $id, Subject $subject, int $day, DateTimeImmutable $at, Level $level, ?Side $side = null): self
    {
        return new self($id, FactKind::Mark, $subject, $day, $at, $level, $side);
    }

    /** @param  FactKind  $kind  taught, practice, run-through or home */
    public static function contact(string $id, FactKind $kind, Subject $subject, int $day, DateTimeImmutable $at, ?Side $side = null): self
    {
        return new self($id, $kind, $subject, $day, $at, null, $side);
    }

    /** @param  WithdrawnKind|null  $kind  of what it withdraws; null where a file does not say */
    public static function withdraw(string $id, string $of, ?WithdrawnKind $kind, int $day, DateTimeImmutable $at): self
    {
        return new self($id, FactKind::Withdraw, null, $day, $at, withdraws: $of, withdrawsKind: $kind);
    }

    /** The day a fact counts for that was said on another: never later than the day it arrived, whatever a clock says. */
    public static function dayFor(int $claimed, int $arrived): int
    {
        return min($claimed, $arrived);
    }

    /** Whether both say the same, whatever the offset their instants are written with. */
    public function saysTheSameAs(self $other): bool
    {
        return $this->kind === $other->kind
            && $this->subject?->key() === $other->subject?->key()
            && $this->level === $other->level
            && $this->side === $other->side
            && $this->withdraws === $other->withdraws
            && $this->day === $other->day
            && $this->at == $other->at;
    }

    /** Whether this one decides a day on which the other stands too: by rank, then the later, then the greater id. */
    public function beats(self $rival): bool
    {
        return ([$this->kind->rank(), $this->at] <=> [$rival->kind->rank(), $rival->at] ?: strcmp($this->id, $rival->id)) > 0;
    }
}
