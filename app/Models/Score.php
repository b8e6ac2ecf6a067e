<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Term\Passage;

/** A form as core knows it, and which row each position is. */
final readonly class Score
{
    /** @var array<string, int> position by row id */
    private array $positions;

    /** @param  list<string>  $ids row ids in the order of the form */
    public function __construct(public CoreForm $form, public array $ids)
    {
        $this->positions = array_map(static fn (int $at): int => $at + 1, array_flip($ids));
    }

    public function idAt(int $position): string
    {
        return $this->ids[$position - 1];
    }

    public function positionOf(string $id): ?int
    {
        return $this->positions[$id] ?? null;
    }

    /** @return array{from: string, to: string}|null the passage by row ids */
    public function stored(?Passage $passage): ?array
    {
        return $passage === null ? null : ['from' => $this->idAt($passage->from), 'to' => $this->idAt($passage->to)];
    }

    /** The passage between two rows, or null when it is no longer there. */
    public function passage(mixed $stored): ?Passage
    {
        if (! is_array($stored)) {
            return null;
        }
        $from = is_string($stored['from'] ?? null) ? $this->positionOf($stored['from']) : null;
        $to = is_string($stored['to'] ?? null) ? $this->positionOf($stored['to']) : null;

        return $from === null || $to === null || $to < $from ? null : new Passage($from, $to);
    }
}
