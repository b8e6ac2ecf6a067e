<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;

/** Whether a lesson that was given has taken: each of its movements holds with enough of the group. Pure. */
final readonly class LessonTaken
{
    /** The part of the group that must hold each movement (default). */
    public const ENOUGH = 0.5;

    /**
     * @param  int  $number  of the lesson, from 1
     * @param  float  $share  of the group that holds the movement that fewest hold, 0..1
     */
    private function __construct(public int $number, public float $share)
    {
    }

    public function hasTaken(): bool
    {
        return $this->share >= self::ENOUGH;
    }

    /**
     * @param  array<int, Passage>  $lessons  by number
     * @param  list<StudentStanding>  $group
     * @param  list<int>  $taught  positions given to the group
     * @return list<self> of those lessons of which a movement was taught
     */
    public static function of(Form $form, array $lessons, array $group, array $taught): array
    {
        $isTaught = array_fill_keys($taught, true);
        $holding = array_count_values(array_merge([], ...array_map(static fn (StudentStanding $one): array => $one->holding(), $group)));
        $found = [];
        foreach ($lessons as $number => $lesson) {
            $given = array_filter($lesson->positions(), static fn (int $position): bool => isset($isTaught[$position]) && $form->at($position)->kind === EntryKind::Movement);
            if ($given !== [] && $group !== []) {
                $found[] = new self($number, min(array_map(static fn (int $position): int => $holding[$position] ?? 0, $given)) / count($group));
            }
        }

        return $found;
    }
}
