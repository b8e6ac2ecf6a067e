<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

/**
 * Where the recap that leads into a lesson starts (engine 4): two entries back, stretched to a join with rest of at
 * least 0.6 (or the form's own start) if one lies within four; the first lesson has none.
 */
final readonly class RecapFinder
{
    private const ENTRIES = 2;

    private const STRETCH = 4;

    private const GOOD_REST = 0.6;

    /** @param  list<JoinRest>  $joins */
    public function __construct(private array $joins)
    {
    }

    /** The recap's first position, or null when the lesson starts the form. */
    public function startFor(int $lessonStart): ?int
    {
        if ($lessonStart <= 1) {
            return null;
        }
        for ($back = self::ENTRIES; $back <= self::STRETCH; $back++) {
            $start = $lessonStart - $back;
            if ($start <= 1) {
                return 1;
            }
            if ($this->joins[$start - 2]->rest >= self::GOOD_REST) {
                return $start;
            }
        }

        return $lessonStart - self::ENTRIES;
    }
}
