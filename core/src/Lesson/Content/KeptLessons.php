<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

/** The lessons a teacher has written, beside those a form is cut into: which belongs to which. Pure. */
final class KeptLessons
{
    /**
     * The written lesson for a stretch: the one with the same entries, else the one that shares most with it and at least half
     * of the larger of both; the earlier of two.
     *
     * @param  list<string>  $entries  of the stretch
     * @param  list<WrittenLesson>  $written
     */
    public static function for(array $entries, array $written): ?WrittenLesson
    {
        $best = null;
        $most = 0.0;
        foreach ($written as $lesson) {
            $shared = count(array_intersect($lesson->entries, $entries));
            $share = $shared === 0 ? 0.0 : $shared / max(count($lesson->entries), count($entries));
            if ($share >= 0.5 && $share > $most) {
                [$best, $most] = [$lesson, $share];
            }
        }

        return $best;
    }
}
