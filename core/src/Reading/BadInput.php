<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

use DomainException;

/**
 * Something handed in cannot be used: says where it stands and what is wrong.
 *
 * The place is a JSON path (`$.entries[3].side`), a line (`line 12`) or empty when the whole input is meant.
 */
final class BadInput extends DomainException
{
    /** Told one by one up to here; whoever mends these meets the rest. */
    private const MOST = 50;

    /**
     * @param  list<self>  $problems  all that is wrong, where it is more than one thing
     * @param  int|null  $fileLine  the line of the file, where the place is a path and the line is known too
     */
    private function __construct(
        public readonly string $place,
        public readonly string $reason,
        public readonly array $problems = [],
        public readonly ?int $fileLine = null,
    ) {
        parent::__construct($place === '' ? $reason : "$place: $reason");
    }

    /**
     * Several things at once; the first stands for them.
     *
     * @param  non-empty-list<self>  $problems
     */
    public static function all(array $problems): self
    {
        if (count($problems) === 1) {
            return $problems[0];
        }
        $more = count($problems) - 1;

        return new self($problems[0]->place, $problems[0]->reason.($more === 1 ? ' (and one more problem)' : " (and $more more problems)"), array_slice($problems, 0, self::MOST));
    }

    /**
     * The same, told with the line on which each entry of a file begins.
     *
     * @param  list<int>  $lines  in the order of the entries
     */
    public function withLines(array $lines): self
    {
        $line = preg_match('/^\$\.entries\[(\d+)\]/', $this->place, $m) === 1 ? $lines[(int) $m[1]] ?? null : null;

        return new self($this->place, $this->reason, array_map(static fn (self $one): self => $one->withLines($lines), $this->problems), $line);
    }

    public static function at(string $place, string $reason): self
    {
        return new self($place, $reason);
    }

    public static function atLine(int $line, string $reason): self
    {
        return new self((string) $line, $reason);
    }

    public static function whole(string $reason): self
    {
        return new self('', $reason);
    }
}
