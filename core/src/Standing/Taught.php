<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\Form;

/** What a group was taught, and when: entries by id, each on the day of the class that taught it. */
final readonly class Taught
{
    /** @param  array<string, int>  $days  the first day ({@see \Gorvan\Core\Reading\Day}) by entry id */
    private function __construct(private array $days)
    {
    }

    /** @param  iterable<array{int, list<string>}>  $lessons  day and entry ids, in any order */
    public static function of(iterable $lessons): self
    {
        $days = [];
        foreach ($lessons as [$day, $entries]) {
            foreach ($entries as $entry) {
                $days[$entry] = min($days[$entry] ?? $day, $day);
            }
        }

        return new self($days);
    }

    /** @return list<int> positions of entries that count, taught by a day, in order; extras and what is out of the form are not among them */
    public function by(int $day, Form $form): array
    {
        $positions = [];
        foreach ($this->days as $entry => $first) {
            $position = $first <= $day ? $form->positionOf((string) $entry) : null;
            if ($position !== null && $form->at($position)->kind->countsInForm()) {
                $positions[] = $position;
            }
        }
        sort($positions);

        return $positions;
    }
}
