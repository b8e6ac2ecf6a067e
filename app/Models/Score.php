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

    /** @return array{from: string, to: string, ids: list<string>}|null the passage by row ids */
    public function stored(?Passage $passage): ?array
    {
        return $passage === null ? null : [
            'from' => $this->idAt($passage->from),
            'to' => $this->idAt($passage->to),
            'ids' => array_map($this->idAt(...), $passage->positions()),
        ];
    }

    /**
     * Where the entries of a stored passage stand now; those taken out of the form since are not among them.
     *
     * @return list<int> in order
     */
    public function positions(mixed $stored): array
    {
        if (! is_array($stored)) {
            return [];
        }
        if (! is_array($stored['ids'] ?? null)) {
            return $this->between($stored)?->positions() ?? [];
        }
        $positions = [];
        foreach ($stored['ids'] as $id) {
            $position = is_string($id) ? $this->positionOf($id) : null;
            if ($position !== null) {
                $positions[] = $position;
            }
        }
        sort($positions);

        return $positions;
    }

    /** The stretch from the first to the last entry of a stored passage, or null when none of it is there any more. */
    public function passage(mixed $stored): ?Passage
    {
        $positions = $this->positions($stored);

        return $positions === [] ? null : new Passage(min($positions), max($positions));
    }

    /** @param  array<mixed>  $stored */
    private function between(array $stored): ?Passage
    {
        $from = is_string($stored['from'] ?? null) ? $this->positionOf($stored['from']) : null;
        $to = is_string($stored['to'] ?? null) ? $this->positionOf($stored['to']) : null;

        return $from === null || $to === null || $to < $from ? null : new Passage($from, $to);
    }
}
