<?php

declare(strict_types=1);

namespace Gorvan\Core\Memory;

use DateTimeImmutable;
use Gorvan\Core\Form\Side;

/**
 * One line of a student's record, never edited: a mark, unmarked contact, or the withdrawal of an earlier fact.
 *
 * `subject` is the entry, or the id withdrawn; `side` is the side a mark names, left or right, or null.
 */
final readonly class Fact
{
    private function __construct(
        public string $id,
        public FactKind $kind,
        public string $subject,
        public DateTimeImmutable $at,
        public ?Support $support = null,
        public ?Side $side = null,
    ) {
    }

    public static function mark(string $id, string $entry, DateTimeImmutable $at, Support $support, ?Side $side = null): self
    {
        return new self($id, FactKind::Mark, $entry, $at, $support, $side);
    }

    public static function taught(string $id, string $entry, DateTimeImmutable $at): self
    {
        return new self($id, FactKind::Taught, $entry, $at);
    }

    public static function practice(string $id, string $entry, DateTimeImmutable $at): self
    {
        return new self($id, FactKind::Practice, $entry, $at);
    }

    public static function withdraw(string $id, string $of, DateTimeImmutable $at): self
    {
        return new self($id, FactKind::Withdraw, $of, $at);
    }

    /** Whether both say the same, whatever the offset their instants are written with. */
    public function saysTheSameAs(self $other): bool
    {
        return $this->kind === $other->kind
            && $this->subject === $other->subject
            && $this->support === $other->support
            && $this->side === $other->side
            && $this->at == $other->at;
    }
}
