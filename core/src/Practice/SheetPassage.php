<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Form\Passage;

/** A passage of one form on a sheet. */
final readonly class SheetPassage
{
    /**
     * @param  string  $course  id
     * @param  list<SheetEntry>  $entries
     * @param  bool  $leadsOn  it leads into the next lesson
     */
    public function __construct(public string $course, public Passage $passage, public float $minutes, public float $recallWith, public float $recallWithout, public array $entries, public bool $leadsOn)
    {
    }

    /**
     * @param  HomeCourse  $course  whose form it is of
     * @param  non-empty-list<array{int, int}>  $places  course and position of its entries
     * @param  list<SheetEntry>  $entries
     */
    public static function of(PracticePassage $one, HomeCourse $course, array $places, array $entries): self
    {
        $positions = array_column($places, 1);
        $leadsOn = array_filter($positions, static fn (int $position): bool => in_array($course->form->at($position)->id, $course->leadsOn, true)) !== [];

        return new self($course->id, new Passage($positions[0], $positions[count($positions) - 1]), $one->minutes, $one->recallWith, $one->recallWithout, $entries, $leadsOn);
    }
}
