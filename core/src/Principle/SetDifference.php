<?php

declare(strict_types=1);

namespace Gorvan\Core\Principle;

use Gorvan\Core\Reading\Message;

/** What is different between two states of a set. Immutable. */
final readonly class SetDifference
{
    /** The set as a whole, beside its principles. */
    public const HEAD = 'set';

    /**
     * @param  list<Principle>  $added
     * @param  list<Principle>  $removed
     * @param  list<Principle>  $changed  as they are now
     * @param  bool  $isHead  whether title, about, families or the order changed
     * @param  bool  $isOrder  whether the order, or what comes before what, changed
     */
    private function __construct(public array $added, public array $removed, public array $changed, public bool $isHead, public bool $isOrder)
    {
    }

    public static function between(PrincipleSet $before, PrincipleSet $after): self
    {
        $added = $changed = [];
        $isOrder = false;
        foreach ($after->principles as $one) {
            $was = $before->principle($one->id);
            if ($was === null) {
                $added[] = $one;
            } elseif ($was->toData() != $one->toData()) {
                $changed[] = $one;
                $isOrder = $isOrder || $was->after !== $one->after;
            }
        }
        $removed = array_values(array_filter($before->principles, static fn (Principle $one): bool => $after->principle($one->id) === null));
        $kept = static fn (PrincipleSet $of, PrincipleSet $other): array => array_values(array_intersect($of->ids(), $other->ids()));
        $isMoved = $kept($before, $after) !== $kept($after, $before);
        $head = static fn (PrincipleSet $set): array => [$set->title, $set->about, $set->families, $set->others];

        return new self($added, $removed, $changed, $isMoved || $head($before) != $head($after), $isMoved || $isOrder);
    }

    public function isNone(): bool
    {
        return $this->touched() === [];
    }

    /** Whether a plan made with the one may be another with the other. */
    public function changesPlan(): bool
    {
        return $this->added !== [] || $this->removed !== [] || $this->isOrder;
    }

    /** @return list<string> ids, and {@see self::HEAD} for the set as a whole */
    public function touched(): array
    {
        return [...array_map(static fn (Principle $one): string => $one->id, [...$this->added, ...$this->removed, ...$this->changed]), ...($this->isHead ? [self::HEAD] : [])];
    }

    /**
     * @param  list<Principle>  $all
     * @return list<string>
     */
    private static function titles(array $all): array
    {
        return array_map(static fn (Principle $one): string => $one->title, $all);
    }

    /** @return list<Message> */
    public function said(): array
    {
        return array_values(array_filter([
            $this->added === [] ? null : Message::of('principles.added', titles: self::titles($this->added)),
            $this->removed === [] ? null : Message::of('principles.removed', titles: self::titles($this->removed)),
            $this->changed === [] ? null : Message::of('principles.changed', titles: self::titles($this->changed)),
            $this->isHead ? Message::of('principles.head') : null,
        ]));
    }
}
