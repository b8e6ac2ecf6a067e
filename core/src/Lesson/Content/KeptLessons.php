<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

/** The lessons a teacher has written, beside those a form is cut into: which belongs to which. Pure. */
final class KeptLessons
{
    /**
     * Which written lesson belongs to which: what was written goes with the movements it was written about, to the lesson that
     * holds most of them, the earlier of two. Of several for one lesson the one that is most like it stays, the earlier of two.
     *
     * @param  array<int, list<string>>  $lessons  entries
     * @param  list<WrittenLesson>  $written
     * @return array<int, WrittenLesson> by the keys of the lessons
     */
    public static function among(array $lessons, array $written): array
    {
        $found = $shares = [];
        foreach ($written as $one) {
            $most = 0;
            $best = null;
            foreach ($lessons as $at => $entries) {
                $shared = count(array_intersect($one->entries, $entries));
                if ($shared > $most) {
                    [$most, $best] = [$shared, $at];
                }
            }
            if ($best !== null) {
                $share = $most / max(count($one->entries), count($lessons[$best]));
                if ($share > ($shares[$best] ?? 0.0)) {
                    [$found[$best], $shares[$best]] = [$one, $share];
                }
            }
        }

        return $found;
    }
}
