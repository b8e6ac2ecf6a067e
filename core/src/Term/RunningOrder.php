<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Missing;
use Gorvan\Core\Reading\NotAllowed;
use Gorvan\Core\Reading\Repeated;

/**
 * In which order a class goes through its parts, and what they weigh beside each other (engine 8). Review, new work and the
 * run-through weigh as one, the middle, wherever they stand.
 */
final readonly class RunningOrder
{
    public const IN_THE_MIDDLE = ['review', 'new', 'run_through'];

    public const MIDDLE = 'middle';

    /** What the parts weigh beside each other, *default*. */
    private const SHARES = ['settle' => 4, 'warm_up' => 18, 'focus' => 10, self::MIDDLE => 62, 'close' => 6];

    private const MOST_PARTS = 40;

    private const MOST_SHARE = 1000;

    /** @param  non-empty-list<RunningPart>  $parts  each kind once */
    private function __construct(public array $parts)
    {
    }

    /** Settle, warm-up, focus, review, new work, run-through, close: what a school begins with. */
    public static function usual(bool $hasFocus = true): self
    {
        $usual = new self(array_map(static fn (Box $kind): RunningPart => new RunningPart($kind), self::kinds()));

        return $hasFocus ? $usual : $usual->withoutFocus();
    }

    /** The same of a group that works on no set of principles. Pure. */
    public function withoutFocus(): self
    {
        $parts = array_values(array_filter($this->parts, static fn (RunningPart $part): bool => $part->kind !== Box::Focus));

        return $parts === [] ? $this : new self($parts);
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(JsonNode $node): self
    {
        $kinds = array_map(static fn (Box $kind): string => $kind->value, self::kinds());
        $parts = [];
        $items = $node->itemsAtMost(self::MOST_PARTS);
        foreach ($items as $at => $one) {
            $named = $one->required('kind');
            $kind = Box::tryFrom($named->text(Fields::SHORT));
            if ($kind === null || ! in_array($kind->value, $kinds, true)) {
                throw NotAllowed::wanted($named->path, $kinds, $named->value);
            }
            if (isset($parts[$kind->value])) {
                throw Repeated::inList($named->path, $kind->value);
            }
            if ($kind === Box::Close && $at < count($items) - 1) {
                throw Contradiction::closeIsLast($named->path);
            }
            $parts[$kind->value] = new RunningPart($kind, $one->optional('minutes')?->whole(0, 1440), $one->optional('share')?->whole(1, self::MOST_SHARE));
        }

        return $parts === [] ? throw Missing::parts($node->path) : new self(array_values($parts));
    }

    /** @return list<string> the parts a meeting has, by kind */
    public function order(): array
    {
        return array_map(static fn (RunningPart $part): string => $part->kind->value, $this->parts);
    }

    /**
     * What the parts weigh beside each other, in their order; the middle stands where the first of it does.
     *
     * @return array<string, int>
     */
    public function shares(): array
    {
        $shares = [];
        foreach ($this->parts as $part) {
            $isMiddle = in_array($part->kind->value, self::IN_THE_MIDDLE, true);
            $kind = $isMiddle ? self::MIDDLE : $part->kind->value;
            $shares[$kind] = $isMiddle ? $this->middle() : $part->share ?? self::SHARES[$kind] ?? 0;
        }

        return $shares;
    }

    /**
     * Minutes that parts have of their own; a part of the middle that the order does not hold has none.
     *
     * @return array<string, int> in the order of the parts
     */
    public function minutes(): array
    {
        $minutes = array_fill_keys(array_diff(self::IN_THE_MIDDLE, $this->order()), 0);
        foreach ($this->parts as $part) {
            if ($part->minutes !== null) {
                $minutes[$part->kind->value] = $part->minutes;
            }
        }

        return $minutes;
    }

    /** Whether it has a place for anything new. */
    public function bringsNew(): bool
    {
        return ($this->minutes()[Box::New->value] ?? null) !== 0;
    }

    /** The minutes of the middle in a meeting, not rounded. */
    public function middleOf(int $total): float
    {
        $minutes = array_diff_key($this->minutes(), array_fill_keys(self::IN_THE_MIDDLE, 0));
        $shares = array_diff_key($this->shares(), $minutes);

        return ($shares[self::MIDDLE] ?? 0) / max(1, array_sum($shares)) * max(0, $total - array_sum($minutes));
    }

    /** What review, new work and run-through weigh together: as they say, or as is usual. */
    private function middle(): int
    {
        $said = array_filter(array_map(static fn (RunningPart $part): ?int => in_array($part->kind->value, self::IN_THE_MIDDLE, true) ? $part->share : null, $this->parts));

        return $said === [] ? self::SHARES[self::MIDDLE] : array_sum($said);
    }

    /** @return non-empty-list<Box> */
    private static function kinds(): array
    {
        return [Box::Settle, Box::WarmUp, Box::Focus, Box::Review, Box::New, Box::RunThrough, Box::Close];
    }
}
