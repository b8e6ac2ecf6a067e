<?php

declare(strict_types=1);

namespace Gorvan\Core\Reading;

use DomainException;

/**
 * Something handed in cannot be used: says where it stands and why. One class a kind of reason, each with a named
 * constructor a reason.
 *
 * The place is a JSON path (`$.entries[3].side`), a line (`12`), a field, or empty when the whole input is meant.
 */
abstract class BadInput extends DomainException
{
    /**
     * @param  list<self>  $problems  all that is wrong, where it is more than one thing
     * @param  int|null  $fileLine  the line of the file, where the place is a path and the line is known too
     */
    final protected function __construct(
        public readonly string $place,
        public readonly Message $reason,
        public readonly array $problems = [],
        public readonly ?int $fileLine = null,
    ) {
        // For logs and developers; people read the words of the reason.
        parent::__construct(trim($place.' '.$reason->code.' '.json_encode($reason->toData()['with'], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PARTIAL_OUTPUT_ON_ERROR)));
    }

    /** The same reason at another place. */
    public function movedTo(string $place, ?Message $reason = null): static
    {
        return new static($place, $reason ?? $this->reason, $this->problems, $this->fileLine);
    }

    /**
     * The same, told with the line on which each entry of a file begins.
     *
     * @param  list<int>  $lines  in the order of the entries
     */
    public function withLines(array $lines): static
    {
        $line = preg_match('/^\$\.entries\[(\d+)\]/', $this->place, $m) === 1 ? $lines[(int) $m[1]] ?? null : null;

        return new static($this->place, $this->reason, array_map(static fn (self $one): self => $one->withLines($lines), $this->problems), $line);
    }
}
